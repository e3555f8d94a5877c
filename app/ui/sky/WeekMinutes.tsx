import { Box, chakra } from "@chakra-ui/react";
import { SLOTS } from "~/core/hands";
import type { SkyView } from "~/views/sky/sky-view";
import { ErrorLine } from "~/ui/forms/Field";
import { Action, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Answer } from "./Answer";
import { useSkyDesk } from "./useSkyDesk";

const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
const SLOT_NAMES = { morning: "Cool morning", midday: "Midday", evening: "Evening" };

/** Minutes of a usual week by part of the day. */
export function WeekMinutes({ view }: { view: SkyView }) {
  const { Form, answer, errors } = useSkyDesk();
  return (
    <Card title="Minutes of a usual week">
      <Form method="post" action="/sky">
        <Box display="grid" gridTemplateColumns="52px repeat(3, minmax(0, 1fr))" gap="4px 8px" alignItems="center">
          <span />
          {SLOTS.map((slot) => (
            <chakra.span key={slot} fontWeight="700" fontSize="0.95rem">
              {SLOT_NAMES[slot]}
            </chakra.span>
          ))}
          {WEEKDAYS.map((day, weekday) => [
            <chakra.span key={day} fontWeight="700">
              {day}
            </chakra.span>,
            ...SLOTS.map((slot, k) => (
              <TextInput
                key={`${day} ${slot} ${view.week[weekday]![k]}`}
                name="minutes"
                inputMode="numeric"
                minHeight="44px"
                aria-label={`${day}, ${SLOT_NAMES[slot].toLowerCase()}`}
                defaultValue={view.week[weekday]![k]}
              />
            )),
          ])}
        </Box>
        {errors.minutes && <ErrorLine>{errors.minutes}</ErrorLine>}
        <Action name="intent" value="save week" marginTop="10px">
          Save the week
        </Action>
        <Answer answer={answer} shown={["minutes"]} />
      </Form>
    </Card>
  );
}
