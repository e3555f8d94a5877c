import { chakra } from "@chakra-ui/react";
import { useId, type ReactNode } from "react";

const box = {
  base: {
    minHeight: "48px",
    width: "100%",
    minWidth: 0,
    paddingInline: "12px",
    paddingBlock: "8px",
    fontSize: "1rem",
    fontFamily: "body",
    color: "ink",
    background: "card",
    border: "2px solid",
    borderColor: "edge",
    borderRadius: "10px",
    "&::placeholder": { color: "soft", opacity: 1 },
    "&[aria-invalid=true]": { borderColor: "persimmon" },
  },
} as const;

export const TextInput = chakra("input", box);
export const Choice = chakra("select", box);

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
    <chakra.div display="grid" gap="4px" alignContent="start" gridTemplateColumns="minmax(0, 1fr)" minWidth="0">
      <chakra.label htmlFor={id} fontWeight="700">
        {label}
      </chakra.label>
      {children({ id, "aria-describedby": `${id}-help`, "aria-invalid": Boolean(error) })}
      <chakra.div id={`${id}-help`} fontSize="0.95rem" color={error ? "persimmon" : "soft"} aria-live="polite">
        {error ? <ErrorLine>{error}</ErrorLine> : help}
      </chakra.div>
    </chakra.div>
  );
}

/** A sentence that says what is wrong; the mark says so without colour too. */
export function ErrorLine({ children }: { children: ReactNode }) {
  return (
    <chakra.span role="alert" color="persimmon" fontWeight="700">
      <span aria-hidden>▲ </span>
      {children}
    </chakra.span>
  );
}
