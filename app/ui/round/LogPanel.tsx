import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { CONDITIONS, FATES } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import type { ContainerRow } from "~/db/schema.server";
import type { CheckView } from "~/services/check-view.server";
import { ErrorLine, Field, TextInput } from "~/ui/forms/Field";
import { ContainerChoice, WordChoice } from "~/ui/forms/PickChoices";
import { Action } from "~/ui/shell/Action";
import { Fold } from "~/ui/shell/Fold";
import { OutboxNote } from "~/ui/outbox/OutboxNote";
import { useOutbox } from "~/ui/outbox/OutboxProvider";

interface LogPanelProps {
  view: CheckView;
  today: string;
  containers: ContainerRow[];
  units: UnitSystem;
  roundId: string | null;
  /** Stays at the foot of a phone's screen, under the thumb. */
  foot?: boolean;
  /** Called once the entry is safe, here or on the server. */
  onLogged?: () => void;
}

interface Logged {
  id: string;
  words: string;
  waits: boolean;
}

/** Fields that say what is wrong with them themselves. */
const SHOWN_AT_FIELD = new Set(["weight", "containerId", "containerCount", "note"]);

/** Logs what came of one planting: two taps for a usual pick, the rest behind a fold, undo always. */
export function LogPanel({ view, today, containers, units, roundId, foot = false, onLogged }: LogPanelProps) {
  const { waiting, problems, send } = useOutbox();
  const [count, setCount] = useState(view.counted ? String(view.expected.count) : "");
  const [weight, setWeight] = useState("");
  const [estimated, setEstimated] = useState(false);
  const [more, setMore] = useState({
    containerId: "",
    containerCount: "1",
    condition: "sound",
    fate: "eat now",
    note: "",
    pickedOn: today,
  });
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [logged, setLogged] = useState<Logged | null>(null);
  const [busy, setBusy] = useState(false);
  const guess = view.expected.guess;

  const log = async (outcome: "picked" | "nothing ready", tookAll: boolean) => {
    setBusy(true);
    setErrors({});
    const id = crypto.randomUUID();
    const amount = outcome === "nothing ready" ? "nothing ready" : weight || count;
    const words = `${view.crop}: ${amount}`;
    const result = await send("/picks", words, {
      id,
      plantingId: view.id,
      ...(roundId ? { roundId } : {}),
      outcome,
      tookAll: String(tookAll),
      count: outcome === "picked" ? count : "",
      weight: outcome === "picked" ? weight : "",
      estimated: String(estimated && outcome === "picked"),
      ...more,
    });
    setBusy(false);
    if (result.status === "refused") return setErrors(result.errors);
    setLogged({ id, words, waits: result.status === "waits for signal" });
    onLogged?.();
  };
  const undo = async () => {
    if (!logged) return;
    await send("/picks", `Take back ${logged.words}`, { intent: "take back", id: logged.id });
    setLogged(null);
  };
  const step = (by: number) => setCount((n) => String(Math.max(0, (Number(n) || 0) + by)));
  const set = (field: keyof typeof more) => (event: { target: { value: string } }) =>
    setMore({ ...more, [field]: event.target.value });

  return (
    <chakra.section
      aria-label="Log a pick"
      background="night"
      color="onNight"
      borderRadius={{ base: foot ? "22px 22px 0 0" : "22px", md: "22px" }}
      padding="12px 16px"
      position={{ base: foot ? "sticky" : "static", md: "static" }}
      bottom="0"
      zIndex="10"
      marginInline={{ base: foot ? "-18px" : "0", md: "0" }}
      display="grid"
      gap="10px"
      css={{
        "& input, & select": { background: "card", color: "ink" },
        "& [role=alert], & [id$=help]": { color: "onNight" },
      }}
    >
      {logged ? (
        <Box display="grid" gap="10px" aria-live="polite">
          <chakra.p margin="0" fontSize="1.15rem">
            <strong>{logged.words}</strong>: {logged.waits ? "kept on this phone, waits for signal." : "in the ledger."}
          </chakra.p>
          <Box display="flex" gap="10px">
            <Action tone="dark" onClick={() => void undo()}>
              Undo
            </Action>
            <Action tone="dark" onClick={() => setLogged(null)}>
              Log more
            </Action>
          </Box>
        </Box>
      ) : (
        <>
          <chakra.p margin="0" textAlign="center" opacity="0.9">
            {view.expected.words}
          </chakra.p>
          {view.counted ? (
            <Box display="grid" gridTemplateColumns="64px 1fr 64px" alignItems="center" gap="8px">
              <RoundButton label="One fewer" onClick={() => step(-1)}>
                −
              </RoundButton>
              <chakra.input
                aria-label={`How many ${view.piece.many}`}
                inputMode="numeric"
                value={count}
                onChange={(e) => setCount(e.target.value)}
                fontFamily="heading"
                fontSize="2.6rem"
                textAlign="center"
                width="100%"
                minHeight="64px"
                borderRadius="10px"
                border="none"
                css={{ "&&": { background: "transparent", color: "onNight" } }}
              />
              <RoundButton label="One more" onClick={() => step(1)}>
                +
              </RoundButton>
            </Box>
          ) : (
            <>
              <Box display="grid" gap="8px" gridTemplateColumns="minmax(0, 1fr) auto">
                <TextInput
                  aria-label="How much it weighs"
                  aria-invalid={Boolean(errors.weight)}
                  placeholder={units === "us" ? "1 lb 4 oz" : "840 g or 1.2 kg"}
                  value={weight}
                  onChange={(e) => {
                    setWeight(e.target.value);
                    setEstimated(false);
                  }}
                />
                <Action
                  tone="dark"
                  aria-pressed={estimated}
                  paddingInline="12px"
                  onClick={() => {
                    setWeight(guess);
                    setEstimated(true);
                  }}
                >
                  {estimated ? "✓ " : ""}not weighed
                </Action>
              </Box>
              {errors.weight && <ErrorLine>{errors.weight}</ErrorLine>}
            </>
          )}
          {Object.entries(errors)
            .filter(([field]) => !SHOWN_AT_FIELD.has(field) || (field === "weight" && view.counted))
            .map(([field, sentence]) => (
              <ErrorLine key={field}>{sentence}</ErrorLine>
            ))}
          <Box
            display="grid"
            gridTemplateColumns="1.15fr 1fr 1fr"
            gap="8px"
            css={{ "& button": { paddingInline: "6px", minHeight: "60px" } }}
          >
            <Action tone="loud" disabled={busy} onClick={() => void log("picked", true)}>
              {view.repeats ? "Picked, all ready ones" : "Picked, all of it"}
            </Action>
            <Action tone="dark" disabled={busy} onClick={() => void log("picked", false)}>
              Left the small ones
            </Action>
            <Action tone="dark" disabled={busy} onClick={() => void log("nothing ready", false)}>
              Nothing ready
            </Action>
          </Box>
          <Fold quiet summary="Weight, crate, where it goes" open={Boolean(errors.containerCount)}>
            <Box
              maxHeight={{ base: foot ? "38vh" : "none", md: "none" }}
              overflowY="auto"
              display="grid"
              gap="10px"
              gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))"
            >
              {view.counted && (
                <Field label="Weight" error={errors.weight} help="With the crate on: choose it below">
                  {(ids) => <TextInput {...ids} value={weight} onChange={(e) => setWeight(e.target.value)} />}
                </Field>
              )}
              <Field label="Weighed in" error={errors.containerId}>
                {(ids) => (
                  <ContainerChoice
                    {...ids}
                    containers={containers}
                    units={units}
                    value={more.containerId}
                    onChange={set("containerId")}
                  />
                )}
              </Field>
              <Field label="How many of them" error={errors.containerCount}>
                {(ids) => (
                  <TextInput
                    {...ids}
                    inputMode="numeric"
                    value={more.containerCount}
                    onChange={set("containerCount")}
                  />
                )}
              </Field>
              <Field label="Condition">
                {(ids) => <WordChoice {...ids} words={CONDITIONS} value={more.condition} onChange={set("condition")} />}
              </Field>
              <Field label="Where it goes">
                {(ids) => <WordChoice {...ids} words={FATES} value={more.fate} onChange={set("fate")} />}
              </Field>
              <Field label="Picked on" error={errors.pickedOn}>
                {(ids) => (
                  <TextInput {...ids} type="date" max={today} value={more.pickedOn} onChange={set("pickedOn")} />
                )}
              </Field>
              <Field label="Note" error={errors.note}>
                {(ids) => <TextInput {...ids} value={more.note} onChange={set("note")} />}
              </Field>
            </Box>
          </Fold>
        </>
      )}
      {(waiting > 0 || problems.length > 0) && <OutboxNote />}
    </chakra.section>
  );
}

function RoundButton({ label, onClick, children }: { label: string; onClick: () => void; children: string }) {
  return (
    <chakra.button
      type="button"
      aria-label={label}
      onClick={onClick}
      width="64px"
      height="64px"
      borderRadius="50%"
      border="2px solid"
      borderColor="onNight"
      background="transparent"
      color="onNight"
      fontSize="2rem"
      lineHeight="1"
      cursor="pointer"
    >
      {children}
    </chakra.button>
  );
}
