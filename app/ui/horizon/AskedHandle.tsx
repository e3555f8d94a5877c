import { chakra, Popover, Portal } from "@chakra-ui/react";
import { useContext } from "react";
import { Action, Bar } from "~/ui/theme/parts";
import { dayCostWords } from "~/views/horizon/move-words";
import { BoardContext } from "./board-context";
import { PickButton, type PickHandleProps } from "./PickButton";
import { usePlanActs } from "./plan-acts";
import { useAround } from "./useAround";
import { WhyDays } from "./WhyDays";

/** A planned pick that was asked why: its reasons, and what else can be done with its day. */
export default function AskedHandle(props: PickHandleProps) {
  const { planting, order, days } = props;
  const { bands, units } = useContext(BoardContext);
  const { act, isBusy } = usePlanActs();
  const handle = planting.handles[order]!;
  const of = { plantingId: planting.id, day: days[handle.day]!.day };
  const answer = useAround(planting.id, of.day);
  const shut = answer ? answer.costs.flatMap((cost, n) => (cost ? [] : [n])) : [];
  const either = handle.either.map(({ day, words, lead }) => answer && answer.settled.includes(day) ? `${lead}: ${dayCostWords(answer.costs[day]!, units)}` : words); // prettier-ignore
  return (
    <Popover.Root defaultOpen lazyMount unmountOnExit positioning={{ placement: "bottom" }}>
      <Popover.Trigger asChild>
        <PickButton {...props} />
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content
            maxWidth="330px"
            background="card"
            border="2px solid"
            borderColor="ink"
            borderRadius="seed"
            padding="14px"
            boxShadow="lg"
            zIndex="60"
          >
            <Popover.Title fontFamily="heading" fontSize="1.1rem" fontWeight="600">
              Why {days[handle.day]!.label}?
            </Popover.Title>
            {[...handle.why, ...either].map((line) => (
              <chakra.p key={line} margin="4px 0 0">
                {line}
              </chakra.p>
            ))}
            <WhyDays planting={planting} day={handle.day} days={days} bands={bands} shut={shut} />
            <Bar marginTop="10px" gap="8px">
              {handle.isAsked && (
                <Action size="small" disabled={isBusy} onClick={() => act({ intent: "leave free", ...of })}>
                  Leave it to the plan
                </Action>
              )}
              <Action size="small" disabled={isBusy} onClick={() => act({ intent: "rule out", ...of })}>
                Not on this day
              </Action>
            </Bar>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
