import { index, layout, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  route("setup", "routes/setup.tsx"),
  layout("routes/garden.tsx", [
    index("routes/horizon.tsx"),
    route("round", "routes/round.tsx"),
    route("check/:plantingId", "routes/check.tsx"),
    route("beds", "routes/beds.tsx"),
    route("plantings/:plantingId", "routes/planting.tsx"),
    route("ledger", "routes/ledger.tsx"),
    route("ledger/:pickId", "routes/pick.tsx"),
    route("sky", "routes/sky.tsx"),
    route("notes", "routes/notes.tsx"),
    route("notes/sheets", "routes/sheets.tsx"),
    route("notes/:cropId", "routes/crop-notes.tsx"),
  ]),
  route("plan.json", "routes/plan-json.ts"),
  route("advice", "routes/advice.ts"),
  route("what-if", "routes/what-if.ts"),
  route("health", "routes/health.tsx"),
  route("places", "routes/places.ts"),
  route("ledger.csv", "routes/ledger-csv.ts"),
  route("calendar.ics", "routes/calendar-ics.ts"),
  route("entries", "routes/entries.ts"),
  route("demo/step", "routes/demo-step.ts"),
] satisfies RouteConfig;
