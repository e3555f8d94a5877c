import { Box, chakra } from "@chakra-ui/react";
import type { KeyboardEvent } from "react";
import { BigNumber } from "~/ui/theme/parts";

interface NumberStepProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
}

const STEPS: Partial<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1 };

/** A count with a button either side, for a thumb; by keyboard the arrows do the same. */
export function NumberStep({ label, value, onChange }: NumberStepProps) {
  const step = (by: number) => onChange(String(Math.max(0, (Number(value) || 0) + by)));
  const byKey = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    step(by);
  };
  return (
    <Box display="grid" gridTemplateColumns="64px 1fr 64px" alignItems="center" gap="8px">
      <RoundButton label="One fewer" onClick={() => step(-1)}>
        −
      </RoundButton>
      <BigNumber
        aria-label={label}
        inputMode="numeric"
        value={value}
        onChange={(e) => onChange(e.target.value)}
        onKeyDown={byKey}
      />
      <RoundButton label="One more" onClick={() => step(1)}>
        +
      </RoundButton>
    </Box>
  );
}

function RoundButton({ label, onClick, children }: { label: string; onClick: () => void; children: string }) {
  return (
    <chakra.button
      type="button"
      // The field itself takes the arrow keys: one stop less on the way to the main act.
      tabIndex={-1}
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
