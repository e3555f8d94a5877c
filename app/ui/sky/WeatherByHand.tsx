import { Box } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { Field } from "~/ui/forms/Field";
import { Action, Quiet, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Answer } from "./Answer";
import { useSkyDesk } from "./useSkyDesk";

/** A day read off the household's own thermometer, or heard on the radio. */
export function WeatherByHand({ view }: { view: SkyView }) {
  const { Form, answer, errors } = useSkyDesk();
  // What was noted is gone from the fields: the next day’s rain is another.
  const fields = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (answer?.done) fields.current?.closest("form")?.reset();
  }, [answer]);
  const [degrees, rain, wind] = view.units === "metric" ? ["°C", "mm", "km/h"] : ["°F", "in", "mph"];
  return (
    <Card title="Weather by hand">
      <Quiet margin="0 0 8px">
        A day gone by goes into the record, and no service writes over it; a day to come counts as your own forecast.
      </Quiet>
      <Form method="post" action="/sky">
        <Box ref={fields} display="grid" gap="8px" gridTemplateColumns="repeat(auto-fit, minmax(148px, 1fr))">
          <Field label="Day" error={errors.day}>
            {(ids) => (
              <TextInput {...ids} type="date" name="day" defaultValue={view.record.yesterday} paddingInline="6px" />
            )}
          </Field>
          <Field label={`Low, ${degrees}`} error={errors.low}>
            {(ids) => <TextInput {...ids} name="low" inputMode="text" autoComplete="off" />}
          </Field>
          <Field label={`High, ${degrees}`} error={errors.high}>
            {(ids) => <TextInput {...ids} name="high" inputMode="text" autoComplete="off" />}
          </Field>
          <Field label={`Rain, ${rain}`} help="if known" error={errors.rain}>
            {(ids) => <TextInput {...ids} name="rain" inputMode="decimal" autoComplete="off" />}
          </Field>
          <Field label={`Gusts, ${wind}`} help="if known" error={errors.gust}>
            {(ids) => <TextInput {...ids} name="gust" inputMode="decimal" autoComplete="off" />}
          </Field>
        </Box>
        <Action name="intent" value="note weather" marginTop="8px">
          Note it
        </Action>
        <Answer answer={answer} shown={["day", "low", "high", "rain", "gust"]} />
      </Form>
    </Card>
  );
}
