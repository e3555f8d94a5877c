import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A raised sheet with its heading. */
export function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <chakra.section
      aria-label={title}
      background="card"
      border="1px solid"
      borderColor="line"
      borderRadius="seed"
      padding="14px 18px"
    >
      <chakra.h2 fontSize="1.3rem" marginBottom="6px">
        {title}
      </chakra.h2>
      {children}
    </chakra.section>
  );
}
