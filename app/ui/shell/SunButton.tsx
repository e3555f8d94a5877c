import { Sun } from "lucide-react";
import { Action } from "~/ui/theme/parts";
import { useSun } from "./sun";

/** Turns the screen to black on white, for the sun. */
export function SunButton() {
  const [on, turn] = useSun();
  return (
    <Action
      tone="bare"
      paddingInline="12px"
      minWidth="48px"
      minHeight="48px"
      aria-pressed={on}
      aria-label="For the sun: black on white"
      title="For the sun: black on white"
      onClick={turn}
    >
      <Sun size={22} aria-hidden fill={on ? "currentColor" : "none"} />
    </Action>
  );
}
