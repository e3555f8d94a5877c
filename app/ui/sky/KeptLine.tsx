import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Action, Bar } from "~/ui/theme/parts";
import type { useSkyDesk } from "./useSkyDesk";

interface KeptLineProps {
  id: string;
  name: string;
  /** What the desk calls taking it away. */
  removeIntent: string;
  desk: ReturnType<typeof useSkyDesk>;
  onChange: () => void;
  children: ReactNode;
}

/** A trip or a helper that is kept, to change or remove. */
export function KeptLine({ id, name, removeIntent, desk, onChange, children }: KeptLineProps) {
  return (
    <Bar gap="0 8px">
      <chakra.span flex="1 1 220px">{children}</chakra.span>
      <Action size="small" tone="bare" aria-label={`Change ${name}`} onClick={onChange}>
        Change
      </Action>
      <desk.Form method="post" action="/sky">
        <input type="hidden" name="id" value={id} />
        <Action size="small" tone="bare" name="intent" value={removeIntent} aria-label={`Remove ${name}`}>
          Remove
        </Action>
      </desk.Form>
    </Bar>
  );
}
