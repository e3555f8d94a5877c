import { chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import type { JobTold } from "~/views/sentences/acts-due";
import { Action, Bar, PlainList, Quiet } from "~/ui/theme/parts";

interface JobsProps {
  due: readonly JobTold[];
  /** Marked today: can be taken back. */
  marked?: readonly (JobTold & { isSkipped: boolean })[];
}

/** Jobs beside picking, each with its day and reason, to be ticked or left out. */
export function Jobs({ due, marked = [] }: JobsProps) {
  return (
    <PlainList display="grid" gap="10px">
      {due.map((job) => (
        <li key={job.keys.join()}>
          <chakra.strong color={job.isToday ? "persimmon" : "ink"}>{job.when}:</chakra.strong> <strong>{job.lead}</strong>
          {job.minutes >= 1 && <Quiet as="span" size="small"> {Math.round(job.minutes)} min</Quiet>}
          {job.text && <Quiet size="small">{job.text}</Quiet>}
          {job.isToday && <Marks of={job.keys} acts={[["job done", "Done"], ["job left out", "Leave it out"]]} />}
        </li>
      ))}
      {marked.map((job) => (
        <li key={job.keys.join()}>
          <Quiet>
            {job.isSkipped ? "Left out" : "Done"}: {job.lead}
          </Quiet>
          <Marks of={job.keys} acts={[["job due again", "Take it back"]]} />
        </li>
      ))}
    </PlainList>
  );
} // prettier-ignore

function Marks({ of, acts }: { of: readonly string[]; acts: readonly (readonly [intent: string, words: string])[] }) {
  const fetcher = useFetcher<{ status: "noted" | "refused"; sentence: string }>();
  return (
    <fetcher.Form method="post" action="/?index">
      <input type="hidden" name="keys" value={of.join("\n")} />
      <Bar gap="8px">
        {acts.map(([intent, words]) => (
          <Action key={intent} name="intent" value={intent} disabled={fetcher.state !== "idle"}>
            {words}
          </Action>
        ))}
        {fetcher.data?.status === "refused" && <span role="status">{fetcher.data.sentence}</span>}
      </Bar>
    </fetcher.Form>
  );
}
