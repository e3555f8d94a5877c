import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { ErrorLine } from "~/ui/forms/Field";
import { Action, Bar, Choice, Quiet } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Answer } from "./Answer";
import { useSkyDesk } from "./useSkyDesk";

/** Takes trips and busy times from an iCalendar file; shows them first. */
export function CalendarImport({ view }: { view: SkyView }) {
  const { Form, answer, errors } = useSkyDesk();
  const forget = useSkyDesk();
  const [kept, setKept] = useState("");
  const outcome = answer?.calendar;
  const proposed = outcome?.status === "proposed" ? outcome.events : [];
  return (
    <Card title="From your calendar">
      <Quiet margin="0 0 8px">
        An iCalendar file (.ics) as calendars export it. You see what is in it before anything is taken in.
      </Quiet>
      {view.busy.count > 0 && (
        <Bar gap="0 8px">
          <span>
            {view.busy.count} busy times ahead: {view.busy.next.join("; ")}
            {view.busy.count > view.busy.next.length ? " …" : "."}
          </span>
          <forget.Form method="post" action="/sky">
            <Action size="small" tone="bare" name="intent" value="forget calendar">
              Remove all busy times
            </Action>
          </forget.Form>
        </Bar>
      )}
      <Form method="post" action="/sky" encType="multipart/form-data">
        <input
          type="file"
          name="file"
          accept=".ics,text/calendar"
          aria-label="Calendar file"
          onChange={async (e) => {
            const file = e.target.files?.[0];
            if (file && file.size < 8_000_000) setKept(await file.text());
          }}
        />
        {proposed.length > 0 && (
          <Box marginTop="10px" display="grid" gap="6px">
            <input type="hidden" name="kept" value={kept} />
            {proposed.map((e) => (
              <chakra.label
                key={e.uid}
                display="grid"
                gridTemplateColumns="minmax(0, 1fr) 130px"
                gap="8px"
                alignItems="center"
              >
                <span>
                  <strong>{e.name}</strong>, {e.when}
                </span>
                <Choice name={`use ${e.uid}`} defaultValue={e.use} aria-label={`What ${e.name} is`}>
                  <option value="trip">away</option>
                  <option value="busy">busy</option>
                  <option value="no">leave out</option>
                </Choice>
              </chakra.label>
            ))}
          </Box>
        )}
        <Bar gap="8px" marginTop="10px">
          <Action name="intent" value="read calendar">
            Read the calendar
          </Action>
          {proposed.length > 0 && (
            <Action tone="loud" name="intent" value="take calendar">
              Take these in
            </Action>
          )}
        </Bar>
        <Box aria-live="polite" marginTop="6px">
          {errors.file && <ErrorLine>{errors.file}</ErrorLine>}
          {outcome?.status === "refused" && <ErrorLine>{outcome.sentence}</ErrorLine>}
          {outcome?.status === "taken" && (
            <chakra.p margin="0">
              ✓ {outcome.trips} {outcome.trips === 1 ? "trip" : "trips"} and {outcome.busy} busy{" "}
              {outcome.busy === 1 ? "time" : "times"} taken in; the plan works round them.
            </chakra.p>
          )}
          {outcome && outcome.status !== "refused" && outcome.leftOut.length > 0 && (
            <p>{outcome.leftOut.slice(0, 3).join(" ")}</p>
          )}
        </Box>
        <Answer answer={forget.answer} />
      </Form>
    </Card>
  );
}
