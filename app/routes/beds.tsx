import { data } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/beds";
import { TypedLine } from "~/core/lines";
import { bedsDesk, isBedsRefusal } from "~/services/beds/beds-desk.server";
import { bedsPage } from "~/services/beds/beds-page.server";
import { lastYearsLines } from "~/services/beds/last-years-lines.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { BedsPage } from "~/ui/beds/BedsPage";
import { BED_KIND_LABELS } from "~/views/beds/bed-kinds";
import { fieldsOf } from "./form";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "Beds · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return {
    beds: bedsPage(db, garden, new URL(request.url).searchParams.get("earlier") ?? ""),
    kinds: BED_KIND_LABELS,
    copies: lastYearsLines(db, garden) !== "",
    units: garden.unitSystem,
  };
}

/** A field that carries JSON of a shape. */
const inJson = <T extends z.ZodType>(schema: T) =>
  z
    .string()
    .max(300_000)
    .transform((text, context) => {
      try {
        return JSON.parse(text) as unknown;
      } catch {
        context.addIssue({ code: "custom", message: "not JSON" });
        return z.NEVER;
      }
    })
    .pipe(schema);

const Intent = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("add bed"), name: z.string(), kind: z.string() }),
  z.object({ intent: z.literal("edit bed"), bedId: z.string(), name: z.string(), kind: z.string() }),
  z.object({ intent: z.literal("move bed"), bedId: z.string(), step: z.enum(["up", "down"]) }),
  z.object({ intent: z.literal("remove bed"), bedId: z.string() }),
  z.object({ intent: z.literal("read lines"), bedId: z.string(), text: z.string().max(60_000) }),
  z.object({
    intent: z.enum(["answer lines", "add lines"]),
    bedId: z.string(),
    rows: inJson(z.array(TypedLine).max(300)),
  }),
  z.object({ intent: z.literal("take back"), bedId: z.string(), added: inJson(z.object({ plantings: z.array(z.string()).max(300), beds: z.array(z.string()).max(300) })) }), // prettier-ignore
  z.object({ intent: z.literal("last year") }),
  z.object({ intent: z.literal("reopen"), plantingId: z.string() }),
]);

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const parsed = Intent.safeParse(await fieldsOf(request));
  if (!parsed.success) throw data("That is not something the beds can do.", { status: 400 });
  const answer = bedsDesk(db, garden, parsed.data);
  return data(answer, { status: isBedsRefusal(answer) ? 400 : 200 });
});

export default function Beds({ loaderData }: Route.ComponentProps) {
  return <BedsPage {...loaderData} />;
}
