import { Box } from "@chakra-ui/react";
import type { SystemStyleObject } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A card over the page that moves nothing in it. */
export const FOOT_CARD: SystemStyleObject = {
  position: "fixed",
  zIndex: 40,
  left: "50%",
  transform: "translateX(-50%)",
  bottom: { base: "86px", md: "18px" },
  width: "min(680px, calc(100vw - 20px))",
  background: "card",
  border: "2px solid",
  borderColor: "ink",
  borderRadius: "seed",
  padding: "12px 16px",
  boxShadow: "lg",
};

interface FootCardProps {
  name: string;
  isWrong?: boolean;
  children: ReactNode;
}

/** What came of an act, at the foot of the page. */
export function FootCard({ name, isWrong = false, children }: FootCardProps) {
  return (
    <Box role="status" aria-label={name} css={FOOT_CARD} {...(isWrong && { borderColor: "persimmon" })}>
      {children}
    </Box>
  );
}
