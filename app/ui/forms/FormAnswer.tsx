import { Box, chakra } from "@chakra-ui/react";
import { ErrorLine } from "./Field";

/** What a planting's form gets back. */
export interface FormTold {
  errors?: Partial<Record<string, string>>;
  done?: string;
}

/** What came of a form, read out when it is there: what is wrong with none of its fields, or what was done. */
export function FormAnswer({ told }: { told: FormTold | undefined }) {
  return (
    <Box aria-live="polite">
      {told?.errors?.form && <ErrorLine>{told.errors.form}</ErrorLine>}
      {told?.done && <chakra.p margin="6px 0 0">✓ {told.done}</chakra.p>}
    </Box>
  );
}
