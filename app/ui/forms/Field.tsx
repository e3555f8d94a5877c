import { chakra } from "@chakra-ui/react";
import { useId, type ReactNode } from "react";
import { ErrorText, FieldNote } from "~/ui/theme/parts";

interface FieldProps {
  label: string;
  help?: string | undefined;
  error?: string | undefined;
  children: (ids: { id: string; "aria-describedby": string; "aria-invalid": boolean }) => ReactNode;
}

/** A labelled field with its help and, when something is wrong, a sentence that says what. */
export function Field({ label, help, error, children }: FieldProps) {
  const id = useId();
  return (
    <chakra.div
      display="grid"
      gap="4px"
      alignContent="start"
      gridTemplateColumns="minmax(0, 1fr)"
      minWidth="0"
      css={{ "& > :last-child:empty": { display: "none" } }}
    >
      <chakra.label htmlFor={id} fontWeight="700">
        {label}
      </chakra.label>
      {children({ id, "aria-describedby": `${id}-help`, "aria-invalid": Boolean(error) })}
      <FieldNote id={`${id}-help`} aria-live="polite">
        {error ? <ErrorLine>{error}</ErrorLine> : help}
      </FieldNote>
    </chakra.div>
  );
}

/** A sentence that says what is wrong; the mark says so without colour too. */
export function ErrorLine({ children }: { children: ReactNode }) {
  return (
    <ErrorText role="alert">
      <span aria-hidden>▲ </span>
      {children}
    </ErrorText>
  );
}
