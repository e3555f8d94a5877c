import { Box, chakra } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { SkyAnswer } from "~/views/sky/sky-answer";
import type { SkyView } from "~/views/sky/sky-view";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { Action, Choice, Quiet } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";

const UNITS = {
  temperature: { label: "Low and high are in", options: ["C", "F"] },
  rain: { label: "Rain is in", options: ["mm", "cm", "in"] },
  wind: { label: "Wind is in", options: ["km/h", "m/s", "mph", "kn"] },
} as const;

/** Takes a daily weather file; asks for units the file does not say. */
export function WeatherImport({ record }: { record: SkyView["record"] }) {
  const fetcher = useFetcher<SkyAnswer>();
  const [kept, setKept] = useState({ text: "", name: "" });
  const field = useRef<HTMLInputElement>(null);
  const weather = fetcher.data?.weather;
  const ask = weather?.status === "units unclear" ? weather.ask : [];
  return (
    <Card title="Weather from a file">
      <Quiet margin="2px 0 10px">
        {record.days ? `${record.days} days on record, ${record.from} to ${record.to}.` : "No days on record yet."} A
        CSV file with date, low and high, rain and wind if it has them; or JSON in our open format. Days from today on
        count as the forecast.
      </Quiet>
      <fetcher.Form method="post" action="/sky" encType="multipart/form-data">
        <input
          ref={field}
          type="file"
          name="file"
          accept=".csv,.json,text/csv,text/plain,application/json"
          aria-label="Weather file"
          onChange={async (e) => {
            const file = e.target.files?.[0];
            // Kept so that answering about units does not ask for the file again.
            if (file && file.size < 8_000_000) setKept({ text: await file.text(), name: file.name });
          }}
        />
        {ask.length > 0 && weather?.status === "units unclear" && (
          <Box display="grid" gap="10px" marginTop="10px">
            <p>{weather.days} days found. The file does not say its units:</p>
            <input type="hidden" name="kept" value={kept.text} />
            <input type="hidden" name="name" value={kept.name} />
            {ask.map((unit) => (
              <Field key={unit} label={UNITS[unit].label}>
                {(ids) => (
                  <Choice {...ids} name={unit}>
                    {UNITS[unit].options.map((o) => (
                      <option key={o} value={o}>
                        {unit === "temperature" ? `°${o}` : o}
                      </option>
                    ))}
                  </Choice>
                )}
              </Field>
            ))}
            {Object.entries(weather.known).map(([unit, value]) =>
              ask.some((a) => a === unit) ? null : <input key={unit} type="hidden" name={unit} value={value} />,
            )}
          </Box>
        )}
        <Action name="intent" value="weather" marginTop="10px">
          {ask.length > 0 ? "Take it in with these units" : "Read the file"}
        </Action>
        <Box aria-live="polite" marginTop="8px">
          {fetcher.data?.errors?.file && <ErrorLine>{fetcher.data.errors.file}</ErrorLine>}
          {weather?.status === "refused" && <ErrorLine>{weather.sentence}</ErrorLine>}
          {weather?.status === "taken" && (
            <chakra.p margin="0">
              ✓ {weather.observed} days of record and {weather.forecast} of forecast taken in, {weather.from} to{" "}
              {weather.to}
              {weather.units ? ` (°${weather.units.temperature}, ${weather.units.rain}, ${weather.units.wind})` : ""}.
              {weather.skipped.length > 0 && ` Left out: ${weather.skipped.slice(0, 3).join("; ")}.`}
            </chakra.p>
          )}
        </Box>
      </fetcher.Form>
    </Card>
  );
}
