import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";

interface FoldProps {
  summary: ReactNode;
  /** Loud folds are read in the field; quiet ones are for the table. */
  quiet?: boolean;
  open?: boolean;
  children: ReactNode;
}

/** More behind one tap; the line to tap is as tall as a thumb. */
export function Fold({ summary, quiet = false, open = false, children }: FoldProps) {
  return (
    <chakra.details open={open}>
      <chakra.summary
        minHeight="48px"
        display="flex"
        alignItems="center"
        cursor="pointer"
        textDecoration="underline"
        textUnderlineOffset="3px"
        fontWeight={quiet ? 400 : 700}
      >
        {summary}
      </chakra.summary>
      {children}
    </chakra.details>
  );
}
