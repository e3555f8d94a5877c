import { Box, chakra } from "@chakra-ui/react";
import { type UnitSystem } from "~/core/units";
import type { SkyView } from "~/views/sky/sky-view";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { sayDegrees, sayTemperature } from "~/views/words";
import { Figures, Quiet } from "~/ui/theme/parts";

/** Fewer observed days this year say nothing against the usual. */
const ENOUGH_DAYS = 30;
const HEAT_UNIT: Record<UnitSystem, string> = { metric: "°C·d", us: "°F·d" };
const heat = (degreeDays: number, units: UnitSystem) => Math.round(units === "metric" ? degreeDays : degreeDays * 1.8);
const MONTHS = ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"];

/** What the record tells: frost dates, the heat of this year, and how far forecasts miss. */
export function ClimateCard({ view }: { view: SkyView }) {
  const { record, units } = view;
  return (
    <Card title="This garden’s climate">
      <FrostDates view={view} />
      {record.heat
        .filter((h) => h.observedDays >= ENOUGH_DAYS)
        .map((h) => (
          <chakra.p key={h.base} margin="6px 0 0">
            <strong>
              {heat(h.sum, units)} {HEAT_UNIT[units]}
            </strong>{" "}
            over {sayTemperature(h.base, units)} this year, usual {heat(h.usual, units)}:{" "}
            {Math.abs(h.daysAhead) < 1
              ? "as usual"
              : `${Math.abs(h.daysAhead)} days ${h.daysAhead > 0 ? "ahead" : "behind"}`}
            .
          </chakra.p>
        ))}
      <Quiet margin="6px 0 0">
        {record.normalYears
          ? `Usual weather from ${record.normalYears} years on record`
          : "Usual weather drawn from towns near by or alike: a series of some years read in tells it better"}
        .
      </Quiet>
      <Fold quiet summary="Heat of the months">
        <chakra.table
          borderCollapse="collapse"
          fontSize="0.9rem"
          width="100%"
          css={{ "& td, & th": { textAlign: "right", padding: "3px 4px" } }}
        >
          <thead>
            <tr>
              <th>{HEAT_UNIT[units]}</th>
              {MONTHS.map((m, n) => (
                <th key={n}>{m}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {record.heat.map((h) => (
              <tr key={h.base}>
                <th scope="row">{sayTemperature(h.base, units)}</th>
                {h.months.map((v, n) => (
                  <td key={n}>{heat(v, units)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Fold>
      <ForecastErrors view={view} />
    </Card>
  );
}

function FrostDates({ view }: { view: SkyView }) {
  const { record, units } = view;
  if (record.frost.every((f) => f.seasons === 0))
    return (
      <>
        <p>
          {record.usualFrost.last}.
          <br />
          {record.usualFrost.first}.
        </p>
        <Quiet>
          Drawn from towns whose climate is known, with the doubt of that; a series of some years read in tells it
          better.
        </Quiet>
      </>
    );
  return (
    <Box overflowX="auto">
      <Figures>
        <thead>
          <tr>
            <th>Frost dates</th>
            <th>1 year in 10</th>
            <th>5 in 10</th>
            <th>9 in 10</th>
          </tr>
        </thead>
        <tbody>
          {record.frost.flatMap((f) => [
            <tr key={`l${f.limitC}`}>
              <th scope="row">Last, {sayTemperature(f.limitC, units)}, over by</th>
              <td>{f.last.p10 ?? "none"}</td>
              <td>{f.last.p50 ?? "none"}</td>
              <td>{f.last.p90 ?? "none"}</td>
            </tr>,
            <tr key={`f${f.limitC}`}>
              <th scope="row">First, {sayTemperature(f.limitC, units)}, here by</th>
              <td>{f.first.p10 ?? "none"}</td>
              <td>{f.first.p50 ?? "none"}</td>
              <td>{f.first.p90 ?? "none"}</td>
            </tr>,
          ])}
        </tbody>
      </Figures>
      <Quiet margin="4px 0 0" size="small">
        From {record.frost[0]!.seasons} seasons at the station, {record.from} to {record.to}
        {record.frost[0]!.seasons < 10 ? "; few years, so take the outer dates loosely" : ""}.
      </Quiet>
    </Box>
  );
}

function ForecastErrors({ view }: { view: SkyView }) {
  const { record, units } = view;
  const measured = record.pairs > 0;
  return (
    <Fold
      quiet
      summary={
        measured ? `How far forecasts miss: measured on ${record.pairs} forecast days` : "How far forecasts miss"
      }
    >
      <Figures>
        <thead>
          <tr>
            <th>Days ahead</th>
            <th>Low, ±</th>
            <th>High, ±</th>
            <th>Lows come</th>
            <th>From</th>
          </tr>
        </thead>
        <tbody>
          {record.errors.map((e) => (
            <tr key={e.lead}>
              <th scope="row">{e.lead}</th>
              <td>{sayDegrees(e.low, units)}</td>
              <td>{sayDegrees(e.high, units)}</td>
              <td>
                {Math.abs(e.lowBias) < 0.05
                  ? "as told"
                  : `${sayDegrees(Math.abs(e.lowBias), units)} ${e.lowBias < 0 ? "colder" : "warmer"}`}
              </td>
              <td>{e.pairs > 0 ? `${e.pairs} forecasts` : "our judgement"}</td>
            </tr>
          ))}
        </tbody>
      </Figures>
      <Quiet margin="4px 0 0" size="small">
        The days above are told as forecasts have been found to come, not as the service tells them. One standard
        deviation, drawn towards our judgement where few are on file; {record.issues} days of forecasts kept. How a bed
        differs from the station stays our judgement until it has a thermometer of its own.
      </Quiet>
    </Fold>
  );
}
