import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useId, useRef, useState } from "react";
import type { FetcherWithComponents } from "react-router";
import type { UnitSystem } from "~/core/units";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import type { LineRow, LinesView } from "~/views/beds/lines-view";
import { sayInUnits } from "~/views/words";
import { Action, Bar, Chip, PlainList, QuietSpan, TextInput } from "~/ui/theme/parts";

interface LinesTableProps {
  view: LinesView;
  bedId: string;
  bedNames: readonly string[];
  units: UnitSystem;
  fetcher: FetcherWithComponents<BedsAnswer>;
}

/** What was understood of each line, what is asked of it, and one button for all that are clear. */
export function LinesTable({ view, bedId, bedNames, units, fetcher }: LinesTableProps) {
  const beds = useId();
  // What was answered while an answer is on its way is kept: the view comes after it.
  const typed = useRef(view.rows.map((r) => r.typed));
  useEffect(() => {
    typed.current = view.rows.map((r) => r.typed);
  }, [view]);
  const post = (intent: "answer lines" | "add lines", rows: LineRow["typed"][]) => {
    typed.current = rows;
    void fetcher.submit({ intent, bedId, rows: JSON.stringify(rows) }, { method: "post" });
  };
  const change = (at: number, answer: Partial<LineRow["typed"]>) =>
    post("answer lines", view.rows.map((r, i) => (i === at ? { ...r.typed, ...answer } : r.typed))); // prettier-ignore
  const drop = (at: number) =>
    post(
      "answer lines",
      view.rows.filter((_, i) => i !== at).map((r) => r.typed),
    );
  const open = view.rows.filter((r) => r.status !== "understood").length;
  const lines = view.ready + open;
  return (
    <Box
      background="card"
      border="1px solid"
      borderColor="line"
      borderRadius="12px"
      padding={{ base: "8px 12px", md: "10px 18px" }}
    >
      <PlainList aria-label="Lines as they were read">
        {view.rows.map((row, at) => (
          <Row
            key={`${at} ${row.typed.text}`}
            row={row}
            units={units}
            beds={beds}
            onAnswer={(a) => change(at, a)}
            onDrop={lines > 1 ? () => drop(at) : undefined}
          />
        ))}
      </PlainList>
      <datalist id={beds}>
        {bedNames.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Bar
        gap="8px 14px"
        position="sticky"
        bottom={{ base: "76px", md: "0" }}
        background="card"
        paddingBlock="10px"
        borderTop="1px solid"
        borderColor="line"
      >
        <Action
          tone="loud"
          disabled={view.ready === 0 || fetcher.state !== "idle"}
          onClick={() => post("add lines", typed.current)}
        >
          {lines === 1 ? "Add it" : open > 0 ? `Add the ${view.ready} that are clear` : `Add all ${view.ready}`}
        </Action>
        <QuietSpan>
          {open > 0 && lines > 1 ? `${open} still ${open === 1 ? "asks" : "ask"}. ` : ""}
          {view.newBeds.length > 0 &&
            `New on the footpath: ${view.newBeds.length > FEW ? `${view.newBeds.length} beds` : view.newBeds.join(", ")}.`}
        </QuietSpan>
      </Bar>
    </Box>
  );
}

/** More new beds than this are counted, not named. */
const FEW = 3;

const SIGNS = { understood: "✓", asks: "?", refused: "▲" } as const;

function Row({
  row,
  units,
  beds,
  onAnswer,
  onDrop,
}: {
  row: LineRow;
  units: UnitSystem;
  beds: string;
  onAnswer: (a: Partial<LineRow["typed"]>) => void;
  onDrop: (() => void) | undefined;
}) {
  // prettier-ignore
  if (row.heading)
    return (
      <chakra.li paddingTop="10px" fontFamily="heading" fontSize="1.15rem">
        {row.bed}
      </chakra.li>
    );
  const asks = row.status !== "understood";
  return (
    <chakra.li
      display="grid"
      gridTemplateColumns="1.4em minmax(0, 1fr) auto"
      gap="0 8px"
      alignItems="center"
      minHeight="44px"
      paddingBlock="2px"
      borderBottom="1px solid"
      borderColor="line"
    >
      <chakra.span aria-hidden fontWeight="700" color={asks ? "persimmon" : "ink"}>
        {SIGNS[row.status]}
      </chakra.span>
      <Box>
        <chakra.span fontWeight={asks ? "700" : "400"}>{row.sentence}</chakra.span>
        {row.left.length > 0 && row.status !== "refused" && (
          <QuietSpan> Not used: “{row.left.join("”, “")}”.</QuietSpan>
        )}
        {asks && <Answers row={row} units={units} beds={beds} onAnswer={onAnswer} />}
      </Box>
      {onDrop && (
        <Action size="small" tone="bare" aria-label={`Leave out ${row.typed.text}`} onClick={onDrop}>
          ✕
        </Action>
      )}
    </chakra.li>
  );
}

/** The fields for what is asked; the line itself can be put right too. */
function Answers({
  row,
  units,
  beds,
  onAnswer,
}: {
  row: LineRow;
  units: UnitSystem;
  beds: string;
  onAnswer: (a: Partial<LineRow["typed"]>) => void;
}) {
  // prettier-ignore
  const { asks, options, typed } = row;
  return (
    <Bar gap="8px" marginTop="6px" flexWrap="wrap">
      {options.map((o) => (
        <Chip key={o.id} onClick={() => onAnswer({ crop: o.id })}>
          {o.name}
        </Chip>
      ))}
      {asks.includes("amount") && (
        <Answer
          label={`How many, of ${typed.text}`}
          placeholder={units === "us" ? "6, or 10 ft" : "6, or 3 m"}
          was={typed.amount}
          onGive={(amount) => onAnswer({ amount })}
        />
      )}
      {(asks.includes("day") || asks.includes("start")) && (
        <Answer
          label={`Sown or planted when, ${typed.text}`}
          placeholder={sayInUnits("sown 3 May", units)}
          was={typed.start}
          onGive={(start) => onAnswer({ start })}
        />
      )}
      {asks.includes("bed") && (
        <Answer
          label={`Bed of ${typed.text}`}
          placeholder="Bed"
          list={beds}
          was={typed.bed}
          onGive={(bed) => onAnswer({ bed })}
        />
      )}
      <Answer label={`The line ${typed.text}`} wide was={typed.text} onGive={(text) => onAnswer({ text })} />
    </Bar>
  );
}

interface AnswerProps {
  label: string;
  placeholder?: string;
  was: string | undefined;
  wide?: boolean;
  list?: string;
  onGive: (text: string) => void;
}

/** A small field that is sent when it is left, or with Enter. */
function Answer({ label, placeholder, was = "", wide = false, list, onGive }: AnswerProps) {
  const [text, setText] = useState(was);
  const give = () => text.trim() !== was && onGive(text.trim());
  return (
    <TextInput
      aria-label={label}
      placeholder={placeholder}
      value={text}
      list={list}
      width={wide ? "auto" : "11em"}
      flex={wide ? "1 1 16em" : "none"}
      onChange={(e) => setText(e.target.value)}
      onBlur={give}
      onKeyDown={(e) => e.key === "Enter" && give()}
    />
  );
}
