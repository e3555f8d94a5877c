import { chakra } from "@chakra-ui/react";
import type { RoundOutView } from "~/views/round/round-view";

type Errand = RoundOutView["errands"][number];

interface FootpathProps {
  errands: Errand[];
  at: number;
  isDone: (e: Errand) => boolean;
  onGo: (i: number) => void;
}

/** The footpath across the top: a dot an errand, filled when done, large where you stand. */
export function Footpath({ errands, at, isDone, onGo }: FootpathProps) {
  return (
    <chakra.ol
      display="flex"
      overflowX="auto"
      padding="6px 0"
      margin="0"
      listStyleType="none"
      position="relative"
      aria-label="The walk"
    >
      {errands.map((e, i) => (
        <chakra.li
          key={e.id}
          flex="1 0 30px"
          display="grid"
          justifyItems="center"
          backgroundImage="linear-gradient(to right, var(--chakra-colors-plum) 40%, transparent 40%)"
          backgroundSize="8px 2px"
          backgroundRepeat="repeat-x"
          backgroundPosition="center"
        >
          <chakra.button
            type="button"
            aria-label={`${e.name}${isDone(e) ? ", done" : ""}`}
            aria-current={i === at ? "step" : undefined}
            onClick={() => onGo(i)}
            width="30px"
            height="40px"
            background="transparent"
            border="none"
            display="grid"
            placeItems="center"
            cursor="pointer"
          >
            <Dot here={i === at} done={isDone(e)} />
          </chakra.button>
        </chakra.li>
      ))}
    </chakra.ol>
  );
}

function Dot({ here, done }: { here: boolean; done: boolean }) {
  const size = here ? "22px" : "13px";
  return (
    <chakra.span
      borderRadius="50%"
      border="2px solid"
      borderColor={here ? "persimmonFill" : "plum"}
      background={here ? "persimmonFill" : done ? "plum" : "paper"}
      width={size}
      height={size}
    />
  );
}
