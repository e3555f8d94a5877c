import { debounce } from "es-toolkit";
import { useEffect, useMemo } from "react";
import { Form, useSubmit } from "react-router";
import { TextInput } from "~/ui/theme/parts";
import { unusual, type LedgerAsked } from "./ledger-address";

/** A pause in typing after which it is sought, ms. */
const PAUSE_MS = 250;

/** Narrows the ledger while one types. */
export function LedgerSearch({ asked }: { asked: LedgerAsked }) {
  const submit = useSubmit();
  const soon = useMemo(
    () => debounce((form: HTMLFormElement) => void submit(form, { replace: true, preventScrollReset: true }), PAUSE_MS),
    [submit],
  );
  useEffect(() => () => soon.cancel(), [soon]);
  return (
    <Form method="get" role="search" onChange={(e) => soon(e.currentTarget)}>
      {unusual({ ...asked, q: "", page: 1 }).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <TextInput
        name="q"
        type="search"
        aria-label="Search the ledger"
        placeholder="Search crop, bed, day"
        defaultValue={asked.q}
        width={{ base: "100%", md: "240px" }}
      />
    </Form>
  );
}
