import { chakra, Popover, Portal } from "@chakra-ui/react";
import { Action, Bar } from "~/ui/theme/parts";
import { PickButton, type PickHandleProps } from "./PickButton";
import { usePlanActs } from "./plan-acts";

/** A planned pick that was asked why: its reasons, and what else can be done with its day. */
export default function AskedHandle(props: PickHandleProps) {
  const { planting, order, days } = props;
  const { act, isBusy } = usePlanActs();
  const handle = planting.handles[order]!;
  const of = { plantingId: planting.id, day: days[handle.day]!.day };
  return (
    <Popover.Root defaultOpen lazyMount unmountOnExit positioning={{ placement: "bottom" }}>
      <Popover.Trigger asChild>
        <PickButton {...props} />
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content
            maxWidth="320px"
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
            {handle.why.map((line) => (
              <chakra.p key={line} margin="4px 0 0">
                {line}
              </chakra.p>
            ))}
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
