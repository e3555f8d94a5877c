import { Box, chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import { inTenths } from "~/core/hazards";
import { sayRain, sayTemperature, sayWind } from "~/core/units";
import type { SkyAnswer } from "~/routes/sky";
import type { SkyView } from "~/services/sky-view.server";
import { ErrorLine, Field, TextInput } from "~/ui/forms/Field";
import { Action } from "~/ui/shell/Action";
import { WeatherImport } from "./WeatherImport";

const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

/** What is coming, for which bed, and when hands are free. */
export function SkyPage({ view }: { view: SkyView }) {
  return (
    <Box maxWidth="1240px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }} marginBottom="10px">
        Sky & away
      </chakra.h1>
      {view.threatened.map((s) => (
        <chakra.p key={s.lead} margin="0 0 6px" maxWidth="80ch">
          <chakra.strong color="slate">{s.lead}:</chakra.strong> {s.text}
        </chakra.p>
      ))}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 330px" }}
        gap="28px"
        marginTop="14px"
        alignItems="start"
      >
        <Box display="grid" gap="20px" gridTemplateColumns="minmax(0, 1fr)">
          <ForecastTable view={view} />
          <FrostTable view={view} />
        </Box>
        <Box display="grid" gap="18px" gridTemplateColumns="minmax(0, 1fr)">
          <Trips view={view} />
          <Minutes view={view} />
          <WeatherImport record={view.record} />
        </Box>
      </Box>
    </Box>
  );
}

const cells = {
  "& th, & td": {
    textAlign: "left",
    padding: "7px 10px 7px 0",
    borderBottom: "1px solid var(--chakra-colors-line)",
    whiteSpace: "nowrap",
  },
  "& thead th": { fontWeight: 700 },
};

function ForecastTable({ view }: { view: SkyView }) {
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label="The days ahead">
      <chakra.table width="100%" borderCollapse="collapse" css={cells}>
        <thead>
          <tr>
            <th>Day</th>
            <th>Low</th>
            <th>High</th>
            <th>Rain</th>
            <th>Gusts</th>
            <th>Frost, night after</th>
            <th>Sun</th>
            <th>Hands</th>
          </tr>
        </thead>
        <tbody>
          {view.days.map((d) => (
            <chakra.tr
              key={d.day}
              color={d.source === "normal" ? "soft" : "ink"}
              background={d.away ? "awayWash" : "transparent"}
            >
              <th scope="row">{d.label}</th>
              <chakra.td fontWeight={d.minC <= 0 ? 700 : 400} color={d.minC <= 0 ? "slate" : "inherit"}>
                {sayTemperature(d.minC, view.units)}
              </chakra.td>
              <td>{sayTemperature(d.maxC, view.units)}</td>
              <td>{d.rainMm === null ? "" : sayRain(d.rainMm, view.units)}</td>
              <td>
                {d.windKmh === null ? "" : sayWind(d.windKmh, view.units)}
                {d.storm >= 0.3 ? <chakra.strong color="slate"> storm {inTenths(d.storm)}</chakra.strong> : ""}
              </td>
              <chakra.td color="slate" fontWeight="700">
                {d.frost}
              </chakra.td>
              <td>{d.sun}</td>
              <td>{d.away ? "away" : `${d.minutesFree} min`}</td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      <chakra.p color="soft" fontSize="0.95rem" margin="6px 0 0">
        {view.record.forecastSource ? `Forecast from ${view.record.forecastSource}. ` : "No forecast yet. "}
        Grey days are{" "}
        {view.record.normalYears
          ? `the usual weather of ${view.record.normalYears} years`
          : "a rough guess from the latitude"}
        .
      </chakra.p>
    </Box>
  );
}

/** Odds of frost by bed and night: position and number, not colour alone. */
function FrostTable({ view }: { view: SkyView }) {
  if (view.frostNights.length === 0) return null;
  const beds = view.frostNights[0]?.beds.map((b) => b.name) ?? [];
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label="Frost by bed">
      <chakra.h2 fontSize="1.3rem">Frost by bed</chakra.h2>
      <chakra.table borderCollapse="collapse" css={cells}>
        <thead>
          <tr>
            <th>Bed</th>
            {view.frostNights.map((n) => (
              <th key={n.evening}>{n.label} night</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {beds.map((bed, b) => (
            <tr key={bed}>
              <th scope="row">{bed}</th>
              {view.frostNights.map((n) => {
                const cell = n.beds[b];
                return (
                  <td key={n.evening}>
                    {cell ? (
                      <>
                        <chakra.strong color={cell.odds >= 0.3 ? "slate" : "soft"}>{inTenths(cell.odds)}</chakra.strong>{" "}
                        <chakra.span color="soft">({sayTemperature(cell.bedMinC, view.units)})</chakra.span>
                      </>
                    ) : null}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </chakra.table>
      <chakra.p color="soft" fontSize="0.95rem" margin="6px 0 0">
        How a bed differs from the station, and how far forecasts miss, are our judgement until measured.
      </chakra.p>
    </Box>
  );
}

function Card({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <chakra.section
      aria-label={title}
      background="card"
      border="1px solid"
      borderColor="line"
      borderRadius="seed"
      padding="14px 18px"
    >
      <chakra.h2 fontSize="1.3rem" marginBottom="6px">
        {title}
      </chakra.h2>
      {children}
    </chakra.section>
  );
}

function Trips({ view }: { view: SkyView }) {
  const fetcher = useFetcher<SkyAnswer>();
  const errors = fetcher.data?.errors ?? {};
  return (
    <Card title="Away">
      <chakra.ul listStyleType="none" padding="0" margin="0 0 8px">
        {view.trips.length === 0 && <chakra.li color="soft">No trip ahead.</chakra.li>}
        {view.trips.map((t) => (
          <chakra.li key={t.id} display="flex" justifyContent="space-between" alignItems="center" gap="8px">
            <span>
              <strong>{t.name}</strong>: {t.from} to {t.to}
            </span>
            <fetcher.Form method="post">
              <input type="hidden" name="id" value={t.id} />
              <Action size="small" tone="bare" name="intent" value="remove trip" aria-label={`Remove ${t.name}`}>
                Remove
              </Action>
            </fetcher.Form>
          </chakra.li>
        ))}
      </chakra.ul>
      <fetcher.Form method="post">
        <Box display="grid" gap="10px" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))">
          <Box gridColumn="1 / -1">
            <Field label="Trip" error={errors.name}>
              {(ids) => <TextInput {...ids} name="name" placeholder="Weekend away" autoComplete="off" />}
            </Field>
          </Box>
          <Field label="First day away" error={errors.from}>
            {(ids) => <TextInput {...ids} type="date" name="from" defaultValue={view.today} />}
          </Field>
          <Field label="Last day away" error={errors.to}>
            {(ids) => <TextInput {...ids} type="date" name="to" defaultValue={view.today} />}
          </Field>
        </Box>
        <Action name="intent" value="add trip" marginTop="10px">
          Add the trip
        </Action>
        {fetcher.data?.done && <chakra.p margin="6px 0 0">✓ {fetcher.data.done}</chakra.p>}
      </fetcher.Form>
    </Card>
  );
}

function Minutes({ view }: { view: SkyView }) {
  const fetcher = useFetcher<SkyAnswer>();
  return (
    <Card title="Minutes for the garden">
      <fetcher.Form method="post">
        <Box display="grid" gridTemplateColumns="repeat(7, minmax(0, 1fr))" gap="6px">
          {WEEKDAYS.map((day, i) => (
            <chakra.label key={day} display="grid" gap="2px" fontWeight="700" fontSize="0.95rem">
              {day}
              <TextInput name="minutes" inputMode="numeric" defaultValue={view.minutes[i]} paddingInline="6px" />
            </chakra.label>
          ))}
        </Box>
        {fetcher.data?.errors?.minutes && <ErrorLine>{fetcher.data.errors.minutes}</ErrorLine>}
        <Action name="intent" value="minutes" marginTop="10px">
          Save the minutes
        </Action>
        {fetcher.data?.done && <chakra.p margin="6px 0 0">✓ {fetcher.data.done}</chakra.p>}
      </fetcher.Form>
    </Card>
  );
}
