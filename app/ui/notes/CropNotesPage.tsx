import { Box, chakra } from "@chakra-ui/react";
import { Form, Link, useActionData } from "react-router";
import type { NotesAnswer } from "~/views/notes/notes-answer";
import type { CropNotes } from "~/views/notes/field-notes-view";
import { type UnitSystem } from "~/core/units";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { Action, ActionLink, Bar, PlainList, Quiet, QuietSpan, TextInput } from "~/ui/theme/parts";
import { CropYearView } from "~/ui/life/CropYearView";
import type { CropYear } from "~/views/life/crop-year";
import { Fold } from "~/ui/shell/Fold";
import { CropSheet } from "./CropSheet";
import { ValueRow } from "./ValueRow";
import { sayLength } from "~/views/words";

/** One crop of the field notes: its sheet, the schools to choose from, varieties, every value with its standing. */
export function CropNotesPage({ notes, units, year }: { notes: CropNotes; units: UnitSystem; year: CropYear }) {
  const answer = useActionData<NotesAnswer>();
  const parts = [...new Set(notes.values.map((v) => v.part))];
  const changed = notes.values.filter((v) => v.own).length;
  return (
    <Box maxWidth="1180px" margin="0 auto" padding={{ base: "14px 18px", md: "20px 28px" }}>
      <Bar alignItems="baseline" spread="yes" gap="4px 20px">
        <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }}>{notes.name}</chakra.h1>
        <Box display="flex" gap="10px">
          <ActionLink href={`/notes/sheets?crop=${notes.id}`} size="small">
            Sheet to print
          </ActionLink>
          <ActionLink href="/notes" size="small" tone="bare">
            All crops
          </ActionLink>
        </Box>
      </Bar>
      <Quiet margin="0 0 12px">
        {[notes.own ? "your own crop" : "", notes.family, notes.alsoCalled.length ? `also ${notes.alsoCalled.join(", ")}` : ""] // prettier-ignore
          .filter(Boolean)
          .join(" · ")}
      </Quiet>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 7fr) minmax(0, 5fr)" }}
        gap="10px 44px"
      >
        <CropSheet notes={notes} standings />
        <Box>
          <CropYearView year={year} />
          {notes.schools.length > 0 && (
            <chakra.h2 fontSize="1.25rem" margin="6px 0">
              Where good gardeners differ
            </chakra.h2>
          )}
          {notes.schools.map((s) => (
            <SchoolChoice key={s.id} school={s} answer={answer?.at === s.id ? answer : undefined} />
          ))}
          <chakra.h2 fontSize="1.25rem" margin="16px 0 6px">
            Your varieties
          </chakra.h2>
          <Varieties notes={notes} units={units} answer={answer?.at === "variety" ? answer : undefined} />
        </Box>
      </Box>
      <chakra.h2 fontSize="1.25rem" margin="20px 0 2px">
        Every value, and yours
      </chakra.h2>
      <Quiet>
        What you change holds in this garden and says so; the handbook’s value can always come back.
        {changed > 0 ? ` ${changed} ${changed === 1 ? "value is" : "values are"} yours.` : ""}
      </Quiet>
      {parts.map((part) => (
        <Fold
          key={part}
          summary={part.charAt(0).toUpperCase() + part.slice(1)}
          open={notes.values.some((v) => v.part === part && v.path === answer?.at)}
        >
          <PlainList>
            {notes.values
              .filter((v) => v.part === part)
              .map((v) => (
                <ValueRow key={v.path} value={v} answer={answer?.at === v.path ? answer : undefined} />
              ))}
          </PlainList>
        </Fold>
      ))}
      <Fold summary="The handbook’s own words">
        {notes.statements.map((s) => (
          <Box key={s.about} marginBottom="8px">
            <strong>{s.about.charAt(0).toUpperCase() + s.about.slice(1)}</strong>
            <chakra.ul margin="0" paddingLeft="18px" listStyleType="disc">
              {s.lines.map((l) => (
                <li key={l.text}>
                  {l.text} <QuietSpan>({l.standing})</QuietSpan>
                </li>
              ))}
            </chakra.ul>
          </Box>
        ))}
      </Fold>
      {notes.sources.length > 0 && (
        <Box marginTop="8px" fontSize="0.95rem" color="soft">
          From memory of:
          <chakra.ul margin="0" paddingLeft="18px" listStyleType="disc">
            {notes.sources.map((s) => (
              <li key={s.id}>
                {s.id}: {s.title}
              </li>
            ))}
          </chakra.ul>
          From memory means it was not looked up. Labels, local codes and tested recipes come first.
        </Box>
      )}
      {notes.own && (
        <Form method="post">
          {answer?.at === "remove" && <ErrorLine>{answer.sentence}</ErrorLine>}
          <Action tone="bare" name="intent" value="remove crop" marginTop="12px">
            Take this crop away
          </Action>
        </Form>
      )}
      <chakra.p marginTop="12px">
        <Link to="/notes">Back to the field notes</Link>
      </chakra.p>
    </Box>
  );
}

function SchoolChoice({ school, answer }: { school: CropNotes["schools"][number]; answer: NotesAnswer | undefined }) {
  return (
    <Form method="post" preventScrollReset>
      <input type="hidden" name="intent" value="choose school" />
      <input type="hidden" name="schoolId" value={school.id} />
      <chakra.fieldset border="none" padding="0" margin="0 0 12px">
        <chakra.legend padding="0" fontWeight="700">
          {school.question}
        </chakra.legend>
        <Box display="grid" gap="6px" marginTop="4px">
          {school.options.map((o) => (
            <chakra.button
              key={o.id}
              name="optionId"
              value={o.id}
              aria-pressed={school.chosen === o.id}
              minHeight="48px"
              padding="6px 14px"
              textAlign="left"
              color="ink"
              background={school.chosen === o.id ? "chosen" : "card"}
              border="2px solid"
              borderColor={school.chosen === o.id ? "ink" : "line"}
              borderRadius="seed"
              cursor="pointer"
              fontWeight={school.chosen === o.id ? 700 : 400}
            >
              {school.chosen === o.id && <span aria-hidden>✓ </span>}
              {o.label}
              {o.id === school.usual && <chakra.span fontWeight="400"> (usual)</chakra.span>}
            </chakra.button>
          ))}
        </Box>
        <Quiet margin="4px 0 0" size="small">
          {answer?.sentence ?? `${school.why} (${school.standing}).`}
        </Quiet>
      </chakra.fieldset>
    </Form>
  );
}

function Varieties({ notes, units, answer }: { notes: CropNotes; units: UnitSystem; answer: NotesAnswer | undefined }) {
  const errors = answer?.errors ?? {};
  const length = units === "metric" ? "mm" : "inches";
  return (
    <Box>
      {notes.varieties.length === 0 ? (
        <Quiet margin="0 0 6px">None yet. Write down what differs: its colour when ripe, its size, its packet.</Quiet>
      ) : (
        <PlainList margin="0 0 8px">
          {notes.varieties.map((v) => (
            <chakra.li key={v.id} display="flex" gap="10px" alignItems="center" justifyContent="space-between">
              <span>
                <strong>{v.name}</strong>{" "}
                {[
                  v.ripeColour ? `ripe ${v.ripeColour}` : "",
                  v.size ? `${sayLength(v.size.lowMm, units)} to ${sayLength(v.size.highMm, units)}` : "",
                  v.packet ? `${v.packet.low}–${v.packet.high} days` : "",
                ]
                  .filter(Boolean)
                  .join(", ")}
              </span>
              <Form method="post" preventScrollReset>
                <input type="hidden" name="id" value={v.id} />
                <Action size="small" tone="bare" name="intent" value="drop variety" aria-label={`Take ${v.name} away`}>
                  Take away
                </Action>
              </Form>
            </chakra.li>
          ))}
        </PlainList>
      )}
      {answer?.sentence && <chakra.p margin="0 0 6px">{answer.sentence}</chakra.p>}
      <Fold summary="Write down a variety" quiet open={Object.keys(errors).length > 0}>
        <Form method="post" preventScrollReset>
          <input type="hidden" name="intent" value="keep variety" />
          <Box display="grid" gridTemplateColumns="1fr 1fr" gap="12px">
            <Field label="Variety" error={errors.name}>
              {(ids) => <TextInput {...ids} name="name" />}
            </Field>
            <Field
              label="Ripe colour"
              help={notes.ripeColour ? `usual: ${notes.ripeColour}` : "if it has one"}
              error={errors.ripeColour}
            >
              {(ids) => <TextInput {...ids} name="ripeColour" />}
            </Field>
            {notes.sized ? (
              <>
                <Field label={`Size from (${length})`} error={errors.size}>
                  {(ids) => <TextInput {...ids} name="sizeLow" inputMode="decimal" />}
                </Field>
                <Field label={`to (${length})`}>
                  {(ids) => <TextInput {...ids} name="sizeHigh" inputMode="decimal" />}
                </Field>
              </>
            ) : (
              <>
                <input type="hidden" name="sizeLow" value="" />
                <input type="hidden" name="sizeHigh" value="" />
              </>
            )}
            <Field label="Packet from (days)" error={errors.packet}>
              {(ids) => <TextInput {...ids} name="packetLow" inputMode="numeric" />}
            </Field>
            <Field label="to (days)">{(ids) => <TextInput {...ids} name="packetHigh" inputMode="numeric" />}</Field>
          </Box>
          <Action type="submit" marginTop="10px">
            Write it down
          </Action>
        </Form>
      </Fold>
    </Box>
  );
}
