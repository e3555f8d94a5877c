import { Box, chakra } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useId, useState, type ReactNode } from "react";
import { Link } from "react-router";
import type { Supposition } from "~/core/garden";
import type { Supposable, WhatIfAnswer } from "~/views/horizon/what-if-words";
import { Action, Bar, Chip, Choice, PlainList, Quiet } from "~/ui/theme/parts";
import { usePlanActs } from "./plan-acts";
import type { WhatIf } from "./useWhatIf";

type Kind = Supposition["what"];

const KINDS: Record<Kind, string> = {
  minutes: "we have more time",
  helper: "somebody helps",
  leave: "we leave on another day",
  return: "we come back on another day",
  stay: "we stay at home",
  away: "we go away",
  cover: "we cover a bed",
  colder: "it gets colder than told",
  "fridge full": "the fridge is full",
};

/** Which of them can be supposed here. */
function kindsOf({ trips, beds, colder, hasFridge }: Supposable): Kind[] {
  const can: Partial<Record<Kind, boolean>> = { leave: trips.some((t) => t.leaves.length > 0), return: trips.length > 0, stay: trips.length > 0, cover: beds.length > 0, colder: colder.length > 0, "fridge full": hasFridge }; // prettier-ignore
  return (Object.keys(KINDS) as Kind[]).filter((kind) => can[kind] ?? true);
}

/** The strip on which something is set otherwise, what the plan would be, and keep or drop. */
export default function WhatIfStrip({ supposable, whatIf }: { supposable: Supposable; whatIf: WhatIf }) {
  const { act, isBusy } = usePlanActs();
  const { suppositions, answer, suppose, without, drop } = whatIf;
  const keep = () => {
    act({ intent: "keep", suppositions: JSON.stringify(suppositions) });
    drop();
  };
  return (
    <chakra.section
      aria-label="What if"
      background="card"
      borderBlock="1px solid"
      borderColor="line"
      padding={{ base: "12px 16px", md: "12px 28px" }}
      display="grid"
      gridTemplateColumns={{ lg: "minmax(0, 440px) minmax(0, 1fr)" }}
      gap="12px 32px"
      alignItems="start"
    >
      <Box display="grid" gap="12px">
        <Ask supposable={supposable} suppose={suppose} />
        {suppositions.length > 0 && (
          <Bar gap="8px">
            {suppositions.map((s, n) => (
              <Chip key={JSON.stringify(s)} onClick={() => without(n)}>
                <chakra.span display="inline-flex" alignItems="center" gap="8px">
                  {answer?.supposed[n] ?? KINDS[s.what]}
                  <X size={18} aria-label="Leave it out" />
                </chakra.span>
              </Chip>
            ))}
          </Bar>
        )}
        {suppositions.length > 0 && (
          <Bar gap="10px">
            {answer?.status === "told" && answer.canKeep && (
              <Action tone="loud" disabled={isBusy} onClick={keep}>
                Keep it so
              </Action>
            )}
            <Action onClick={drop}>Drop it</Action>
            {answer?.status === "told" && answer.note && <Quiet flex="1 1 240px">{answer.note}</Quiet>}
          </Bar>
        )}
      </Box>
      {suppositions.length > 0 && <Outcome answer={answer} />}
    </chakra.section>
  );
}

function Outcome({ answer }: { answer: WhatIfAnswer | null | undefined }) {
  return (
    <Box role="status" aria-label="What comes of it" minHeight="3.2em">
      {answer === undefined && <Quiet>Planning it anew …</Quiet>}
      {answer === null && <p>That could not be worked out just now. The plan stands as it is.</p>}
      {answer?.status === "cannot" && (
        <p>
          {answer.sentence} <Link to="/sky">Sky &amp; away</Link>
        </p>
      )}
      {answer?.status === "told" && (
        <>
          <chakra.p fontFamily="heading" fontSize="1.2rem" margin="0 0 6px" maxWidth="70ch">
            {answer.headline}
          </chakra.p>
          <PlainList display="grid" gap="4px" maxWidth="90ch">
            {answer.lines.map((line) => (
              <li key={line.plantingId}>
                <strong>{line.name}:</strong> {line.text}.
              </li>
            ))}
            {answer.rest && <li>{answer.rest}</li>}
            {answer.found && <li>{answer.found}</li>}
          </PlainList>
          {answer.after.length > 0 && <Quiet size="small">On the Horizon: dashed where a pick would be, pale where it would leave.</Quiet>}
        </>
      )}
    </Box>
  ); // prettier-ignore
}

/** One supposition, chosen in a line. */
function Ask({ supposable, suppose }: { supposable: Supposable; suppose: WhatIf["suppose"] }) {
  const kinds = kindsOf(supposable);
  const [kind, setKind] = useState<Kind>(kinds[0]!);
  const { days, trips, beds, colder } = supposable;
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const trip = trips.find((t) => t.from === chosen["trip"]) ?? trips[0];
  const tripDays = (kind === "leave" ? trip?.leaves : trip?.returns) ?? [];
  const options: Record<string, readonly (readonly [string, string])[]> = {
    day: days.map((d) => [d.day, d.words]),
    end: days.filter((d) => d.day >= (chosen["day"] ?? days[0]!.day)).map((d) => [d.day, d.words]),
    evening: days.map((d) => [d.day, d.night]),
    trip: trips.map((t) => [t.from, t.name]),
    tripDay: tripDays.map((d) => [d.day, d.words]),
    minutes: [10, 20, 30, 60, 120].map((m) => [String(m), `${m} minutes`]),
    bed: beds.map((b) => [b.id, b.goesIn ? `${b.name} (indoors)` : `${b.name} (fleece)`]),
    degrees: colder.map((c) => [String(c.degreesC), c.words]),
  };
  /** What stands in a field: what was chosen, where it is still offered, or its first choice. */
  const value = (name: string) => {
    const offered = options[name] ?? [];
    return offered.find(([v]) => v === chosen[name])?.[0] ?? offered[0]?.[0] ?? "";
  };
  const field = (name: string, label: string) => (
    <Field key={name} label={label} value={value(name)} onChange={(v) => setChosen((all) => ({ ...all, [name]: v }))}>
      {(options[name] ?? []).map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </Field>
  );
  const fields: Record<Kind, ReactNode[]> = {
    minutes: [field("minutes", "How much"), field("day", "Day")],
    helper: [field("minutes", "How long"), field("day", "Day")],
    leave: [field("trip", "Trip"), field("tripDay", "Day")],
    return: [field("trip", "Trip"), field("tripDay", "Day")],
    stay: [field("trip", "Trip")],
    away: [field("day", "From"), field("end", "To")],
    cover: [field("bed", "Bed"), field("evening", "Night")],
    colder: [field("degrees", "By")],
    "fridge full": [],
  };
  const chosenSupposition = (): Supposition => {
    switch (kind) {
      case "minutes":
      case "helper":
        return { what: kind, day: value("day"), minutes: Number(value("minutes")) };
      case "leave":
      case "return":
        return { what: kind, trip: trip?.from ?? "", day: value("tripDay") };
      case "stay":
        return { what: kind, trip: trip?.from ?? "" };
      case "away":
        return { what: kind, from: value("day"), to: value("end") };
      case "cover":
        return { what: kind, bedId: value("bed"), evening: value("evening") };
      case "colder":
        return { what: kind, degreesC: Number(value("degrees")) };
      case "fridge full":
        return { what: kind };
    }
  };
  return (
    <chakra.form
      display="flex"
      flexWrap="wrap"
      alignItems="end"
      gap="10px"
      onSubmit={(event) => {
        event.preventDefault();
        suppose(chosenSupposition());
      }}
    >
      <Field label="What if …" value={kind} onChange={(v) => setKind(v as Kind)}>
        {kinds.map((k) => (
          <option key={k} value={k}>
            {KINDS[k]}
          </option>
        ))}
      </Field>
      {fields[kind]}
      <Action type="submit" disabled={(kind === "leave" || kind === "return") && tripDays.length === 0}>
        See
      </Action>
    </chakra.form>
  );
}

interface FieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}

function Field({ label, value, onChange, children }: FieldProps) {
  const id = useId();
  return (
    <Box flex={{ base: "1 1 140px", md: "0 1 auto" }}>
      <chakra.label htmlFor={id} display="block" fontSize="0.95rem" color="soft">
        {label}
      </chakra.label>
      <Choice id={id} value={value} onChange={(event) => onChange(event.target.value)}>
        {children}
      </Choice>
    </Box>
  );
}
