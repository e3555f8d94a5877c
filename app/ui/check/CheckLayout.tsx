import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

interface CheckLayoutProps {
  verdict: ReactNode;
  cues: ReactNode;
  how: ReactNode;
  log: ReactNode;
}

/** Table: verdict and how-to on the left, cues and log on the right. Phone: verdict, cues, how-to, log. */
export function CheckLayout({ verdict, cues, how, log }: CheckLayoutProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 5fr) minmax(0, 6fr)" }}
      gridTemplateRows={{ md: "auto auto 1fr" }}
      gridTemplateAreas={{ base: '"verdict" "cues" "how" "log"', md: '"verdict cues" "how cues" "how log"' }}
      gap={{ base: "12px", md: "8px 40px" }}
      alignItems="start"
    >
      <Box gridArea="verdict">{verdict}</Box>
      <Box gridArea="cues">{cues}</Box>
      <Box gridArea="how">{how}</Box>
      <Box display={{ base: "contents", md: "block" }} gridArea="log">
        {log}
      </Box>
    </Box>
  );
}
