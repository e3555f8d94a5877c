import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { jobsWaiting } from "~/core/entries";
import type { JobTold } from "~/views/sentences/acts-due";
import { Action, Bar, PlainList, Quiet } from "~/ui/theme/parts";

interface JobsProps {
  due: readonly JobTold[];
  /** Marked today: can be taken back. */
  marked?: readonly (JobTold & { isSkipped: boolean })[];
}

/** Jobs beside picking, each with its day and reason, to be ticked or left out. */
export function Jobs({ due, marked = [] }: JobsProps) {
  const marks = jobsWaiting(useOutbox().waitingEntries);
  const open = due.filter((job) => !job.keys.every((key) => ["done", "left out"].includes(marks.get(key) ?? "")));
  const here = due.filter((job) => !open.includes(job)).map((job) => ({ ...job, isSkipped: marks.get(job.keys[0]!) === "left out" })); // prettier-ignore
  const told = marked.filter((job) => !job.keys.every((key) => marks.get(key) === "due again"));
  return (
    <PlainList display="grid" gap="10px">
      {open.map((job) => (
        <li key={job.keys.join()}>
          <chakra.strong color={job.isToday ? "persimmon" : "ink"}>{job.when}:</chakra.strong> <strong>{job.lead}</strong>
          {job.minutes >= 1 && <Quiet as="span" size="small"> {Math.round(job.minutes)} min</Quiet>}
          {job.text && <Quiet size="small">{job.text}</Quiet>}
          {job.isToday && <Marks of={job.keys} lead={job.lead} acts={[["done", "Done"], ["left out", "Leave it out"]]} />}
        </li>
      ))}
      {[...told, ...here].map((job) => (
        <li key={job.keys.join()}>
          <Quiet>
            {job.isSkipped ? "Left out" : "Done"}: {job.lead}
          </Quiet>
          <Marks of={job.keys} lead={job.lead} acts={[["due again", "Take it back"]]} />
        </li>
      ))}
    </PlainList>
  );
} // prettier-ignore

type Mark = "done" | "left out" | "due again";

interface MarksProps {
  of: readonly string[];
  lead: string;
  acts: readonly (readonly [as: Mark, words: string])[];
}

/** Buttons that say what became of a job; without signal the word is kept like all else that is done in the garden. */
function Marks({ of, lead, acts }: MarksProps) {
  const { send } = useOutbox();
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState("");
  const mark = async (as: Mark) => {
    setBusy(true);
    const result = await send({ kind: "mark jobs", keys: [...of], as }, `${lead}: ${as}`);
    setBusy(false);
    setNote(result.status === "refused" ? result.sentence : "");
  };
  return (
    <Bar gap="8px">
      {acts.map(([as, words]) => (
        <Action key={as} disabled={busy} onClick={() => void mark(as)}>
          {words}
        </Action>
      ))}
      {note && <span role="status">{note}</span>}
    </Bar>
  );
}
