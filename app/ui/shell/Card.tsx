import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Sheet } from "~/ui/theme/parts";

/** A raised sheet with its heading. */
export function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Sheet aria-label={title}>
      <chakra.h2 fontSize="1.3rem" marginBottom="6px">
        {title}
      </chakra.h2>
      {children}
    </Sheet>
  );
}
