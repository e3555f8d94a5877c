import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { Field } from "~/ui/forms/Field";
import { Action, Bar, Choice, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Answer } from "./Answer";
import { useSkyDesk } from "./useSkyDesk";

/** What the page goes by and how old it is, in a line under the heading. */
export function SourceLine({ view }: { view: SkyView }) {
  const { forecast, station } = view.sources;
  return (
    <chakra.p margin="0" maxWidth="90ch" data-testid="sources">
      {forecast.newest ? (
        <>
          Forecast of {forecast.newest.issued} ({forecast.newest.source}), <strong>{forecast.newest.age}</strong>.
        </>
      ) : (
        "No forecast: the days ahead are the usual weather."
      )}{" "}
      {station.last ? `Record up to ${station.last.day} (${station.last.source}).` : "No days on record."}{" "}
      {[forecast.error && `Forecast service: ${forecast.error}`, station.error && `Station: ${station.error}`]
        .filter(Boolean)
        .map((sentence) => (
          <chakra.strong key={sentence as string} color="persimmon" display="block">
            ▲ {sentence} {forecast.newest?.stale || !forecast.newest ? "" : "The last good data stands."}
          </chakra.strong>
        ))}
    </chakra.p>
  );
}

/** Where weather is fetched from; in the demo, how its stand-ins behave. */
export function WeatherSources({ view }: { view: SkyView }) {
  const ask = useSkyDesk();
  return (
    <Card title="Where the weather comes from">
      <FeedForm kind="forecast" title="Forecast" view={view} />
      <FeedForm kind="station" title="Station" view={view} />
      {(view.sources.forecast.mode !== "none" || view.sources.station.mode !== "none") && (
        <ask.Form method="post" action="/sky">
          <Action size="small" name="intent" value="ask feeds" disabled={ask.busy} marginTop="8px">
            Ask them now
          </Action>
          <Answer answer={ask.answer} />
        </ask.Form>
      )}
      {view.demo && <Faults view={view} />}
    </Card>
  );
}

function FeedForm({ kind, title, view }: { kind: "forecast" | "station"; title: string; view: SkyView }) {
  const { Form, answer, errors, busy } = useSkyDesk();
  const feed = view.sources[kind];
  const [mode, setMode] = useState(feed.mode);
  const changed = mode !== feed.mode || mode === "address";
  return (
    <Form method="post" action="/sky">
      <input type="hidden" name="kind" value={kind} />
      <Box
        display="grid"
        gap="8px"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", sm: "minmax(0, 1fr) auto" }}
        alignItems="end"
      >
        <Field label={title} help={feed.note ?? undefined}>
          {(ids) => (
            <Choice {...ids} name="mode" value={mode} onChange={(e) => setMode(e.target.value as typeof mode)}>
              <option value="none">not fetched: files and hand only</option>
              {view.demo && (
                <option value="stand-in">the demo’s made-up {kind === "forecast" ? "service" : "station"}</option>
              )}
              <option value="address">an address</option>
            </Choice>
          )}
        </Field>
        {changed && (
          <Action size="small" name="intent" value="feed" disabled={busy} minHeight="48px">
            Set
          </Action>
        )}
      </Box>
      {mode === "address" && (
        <Field label={`Address of the ${kind}`} help="in the open format of docs/weather-json.md" error={errors.url}>
          {(ids) => <TextInput {...ids} name="url" type="url" defaultValue={feed.url} placeholder="http://" />}
        </Field>
      )}
      <Answer answer={answer} shown={["url"]} />
    </Form>
  );
}

function Faults({ view }: { view: SkyView }) {
  const { Form, answer, busy } = useSkyDesk();
  return (
    <Fold quiet summary="Demo: put the stand-ins out of order">
      <Form method="post" action="/sky">
        <Bar gap="8px" alignItems="end">
          <Field label="They work">
            {(ids) => (
              <Choice {...ids} name="mode">
                {view.standInModes.map((m) => (
                  <option key={m}>{m}</option>
                ))}
              </Choice>
            )}
          </Field>
          <Action size="small" name="intent" value="stand-in mode" disabled={busy} minHeight="48px">
            So be it
          </Action>
        </Bar>
        <Answer answer={answer} />
      </Form>
    </Fold>
  );
}
