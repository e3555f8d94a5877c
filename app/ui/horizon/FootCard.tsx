import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

interface FootCardProps {
  name: string;
  /** Over the board on top, where the hand is at its foot. */
  onTop?: boolean;
  isWrong?: boolean;
  children: ReactNode;
}

/** A card over the page that moves nothing in it: what a move costs, what came of an act. */
export function FootCard({ name, onTop = false, isWrong = false, children }: FootCardProps) {
  return (
    <Box
      role="status"
      aria-label={name}
      position="fixed"
      zIndex="40"
      left="50%"
      transform="translateX(-50%)"
      {...(onTop ? { top: "10px" } : { bottom: { base: "86px", md: "18px" } })}
      width="min(680px, calc(100vw - 20px))"
      background="card"
      border="2px solid"
      borderColor={isWrong ? "persimmon" : "ink"}
      borderRadius="seed"
      padding="12px 16px"
      boxShadow="lg"
    >
      {children}
    </Box>
  );
}
