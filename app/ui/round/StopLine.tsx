import { chakra } from "@chakra-ui/react";
import type { CSSProperties, ReactNode } from "react";
import { PlainList, QuietSpan } from "~/ui/theme/parts";
import type { RoundPreviewView } from "~/views/round/round-view";

interface StopLineProps {
  stop: RoundPreviewView["stops"][number];
  /** What it is taken up by. */
  handle?: ReactNode;
  itemRef?: (element: HTMLElement | null) => void;
  style?: CSSProperties;
}

/** One bed of the walk: when one comes to it, what is done there and how long it takes. */
export function StopLine({ stop, handle, itemRef, style }: StopLineProps) {
  return (
    <chakra.li
      ref={itemRef}
      style={style}
      position="relative"
      paddingLeft="28px"
      paddingBottom="12px"
      borderLeft="2px dotted"
      borderColor="plum"
      marginLeft="8px"
    >
      <chakra.span
        aria-hidden
        position="absolute"
        left="-9px"
        top="4px"
        width="16px"
        height="16px"
        borderRadius="50%"
        background="plum"
      />
      <chakra.div display="flex" gap="10px" alignItems="start" justifyContent="space-between">
        <chakra.div>
          <chakra.strong fontFamily="heading" fontSize="1.1rem">
            {stop.bed}
            {stop.part === "later" ? ", once dry" : ""}
          </chakra.strong>{" "}
          <QuietSpan>{[stop.when, `${stop.minutes} min`, stop.kilos, stop.why].filter(Boolean).join(" · ")}</QuietSpan>
        </chakra.div>
        {handle}
      </chakra.div>
      <PlainList>
        {stop.errands.map((e) => (
          <chakra.li key={e.id} display="flex" justifyContent="space-between" gap="12px">
            <span>{e.name}</span>
            <chakra.span fontWeight="700" whiteSpace="nowrap" color={e.what === "look" ? "soft" : "ink"}>
              {e.what}
            </chakra.span>
          </chakra.li>
        ))}
        {stop.jobs.map((job) => (
          <chakra.li key={job.key} display="flex" justifyContent="space-between" gap="12px">
            <span>{job.words}</span>
            <QuietSpan whiteSpace="nowrap">{Math.max(1, job.minutes)} min</QuietSpan>
          </chakra.li>
        ))}
      </PlainList>
    </chakra.li>
  );
}
