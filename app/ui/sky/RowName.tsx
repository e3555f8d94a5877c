import type { ReactNode } from "react";
import { QuietSpan } from "~/ui/theme/parts";

/** What a row tells; it stays in sight when the days are pushed along. */
export function RowName({ children }: { children: ReactNode }) {
  return (
    <QuietSpan
      position="sticky"
      left="0"
      zIndex="3"
      background="paper"
      fontSize="0.9rem"
      alignSelf="stretch"
      display="flex"
      alignItems="center"
      lineHeight="1.15"
      paddingRight="6px"
    >
      {children}
    </QuietSpan>
  );
}
