import { Box, chakra } from "@chakra-ui/react";
import { Suspense, lazy } from "react";
import { Link } from "react-router";
import { SLOTS, type Slot } from "~/core/hands";
import { type UnitSystem } from "~/core/units";
import type { SkyView } from "~/views/sky/sky-view";
import { Action, Bar, Quiet, TextInput } from "~/ui/theme/parts";
import { Answer } from "./Answer";
import { runs } from "./hour-runs";
import { useSkyDesk } from "./useSkyDesk";
import { sayClock } from "~/views/words";

type Shown = NonNullable<SkyView["shown"]>;

const HoursChart = lazy(() => import("./HoursChart"));

const SLOT_WORDS: Record<UnitSystem, Record<Slot, string>> = {
  metric: { morning: "Cool morning, 6 to 10", midday: "Midday, 10 to 16", evening: "Evening, 16 to 21" },
  us: { morning: "Cool morning, 6–10 am", midday: "Midday, 10 am–4 pm", evening: "Evening, 4–9 pm" },
};

/** The hours of one day: warmth, dew point, rain, wet leaves and what stops a round; its minutes by part of the day. */
export function DayHours({ shown, units }: { shown: Shown; units: UnitSystem }) {
  const { hours } = shown;
  return (
    <chakra.section
      aria-label={`Hours of ${shown.date}`}
      background="card"
      border="1px solid"
      borderColor="line"
      borderRadius="seed"
      padding="12px 16px"
      marginTop="12px"
    >
      <Bar spread="yes" alignItems="baseline" gap="12px">
        <chakra.h2 fontSize="1.3rem">{shown.date}, hour by hour</chakra.h2>
        <Link to="?" preventScrollReset>
          Close
        </Link>
      </Bar>
      <chakra.p margin="2px 0 8px">
        {sayClock(inWords(shown), units)} {shown.light}
      </chakra.p>
      <Box display="grid" gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 300px" }} gap="20px">
        <Box minWidth="0">
          <Box height="230px" aria-hidden>
            <Suspense>
              <HoursChart hours={hours} units={units} />
            </Suspense>
          </Box>
          <Quiet size="small" margin="4px 0 0">
            Thick line: the air. Dashed: its dew point. Washed blue: leaves wet. Bars: rain
            {shown.rainHoursKnown ? "" : ", spread over the day since its hours are not told"}. Boxed: no round, for
            heat or thunder.
          </Quiet>
        </Box>
        <SlotMinutes shown={shown} units={units} />
      </Box>
    </chakra.section>
  );
}

const clockRange = ([from, to]: [string, string]) => `${from} to ${to === "23:00" ? "midnight" : to}`;

/** The chart in a sentence or two, for who cannot see it and who has no time. */
function inWords({ hours, leaves, shut, rainHoursKnown }: Shown): string {
  const wet = runs(hours, (h) => h.wet !== null).map(clockRange);
  const dew = hours.some((h) => h.wet === "dew");
  const rain = hours.some((h) => h.wet === "rain");
  const thunder = runs(hours, (h) => h.stop === "thunder").map(clockRange);
  const heat = runs(hours, (h) => h.stop === "heat").map(clockRange);
  const hot = runs(hours, (h) => h.hot).map(clockRange);
  const someHour = rain && !rainHoursKnown;
  return [
    someHour
      ? "Rain at an hour that is not told: leaves may be wet at any."
      : wet.length > 0
        ? `Leaves wet ${wet.join(" and ")}, from ${dew && rain ? "dew and rain" : dew ? "dew" : "rain"}${/\d/.test(leaves) ? `: go to beans, tomatoes and berries from ${leaves}` : ""}.`
        : "Leaves dry all day.",
    thunder.length > 0 ? `Thunder about ${thunder.join(" and ")}: no round; wait 30 minutes after the last.` : "",
    heat.length > 0
      ? `Too hot to work ${heat.join(" and ")}.`
      : hot.length > 0
        ? `Hot ${hot.join(" and ")}: shade, water, short stays.`
        : "",
    ["too hot", "thunder"].some((why) => Object.values(shut).includes(why))
      ? "Minutes of that part of the day are not counted."
      : "",
  ]
    .filter(Boolean)
    .join(" ");
}

function SlotMinutes({ shown, units }: { shown: Shown; units: UnitSystem }) {
  const { Form, answer, errors } = useSkyDesk();
  return (
    <Box>
      <chakra.h3 fontSize="1.1rem" marginBottom="4px">
        Minutes this day
      </chakra.h3>
      {SLOTS.map((slot) => (
        <Form method="post" action="/sky" key={`${slot} ${shown.slots[slot]}`}>
          <input type="hidden" name="day" value={shown.day} />
          <input type="hidden" name="slot" value={slot} />
          <Box
            display="grid"
            gridTemplateColumns="minmax(0, 1fr) 72px auto"
            gap="8px"
            alignItems="center"
            marginBottom="6px"
          >
            <chakra.label htmlFor={`minutes-${slot}`}>
              {SLOT_WORDS[units][slot]}
              {shown.shut[slot] && <strong> ({shown.shut[slot]})</strong>}
            </chakra.label>
            <TextInput id={`minutes-${slot}`} name="minutes" inputMode="numeric" defaultValue={shown.slots[slot]} />
            <Action size="small" name="intent" value="set day">
              Set
            </Action>
          </Box>
        </Form>
      ))}
      {shown.because.length > 0 && <Quiet>Less for: {shown.because.join(", ")}.</Quiet>}
      {shown.own && (
        <Form method="post" action="/sky">
          <input type="hidden" name="day" value={shown.day} />
          <Action size="small" tone="bare" name="intent" value="forget day">
            Back to the usual minutes
          </Action>
        </Form>
      )}
      <Answer answer={answer} shown={Object.keys(errors).length ? [] : ["minutes"]} />
    </Box>
  );
}
