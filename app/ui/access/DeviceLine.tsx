import { chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import type { PhonesView } from "~/views/access/phones-view";
import { ErrorLine } from "~/ui/forms/Field";
import { Action, Bar, QuietSpan, TextInput } from "~/ui/theme/parts";

/** A phone that is in: its name, to be changed where it stands, and out with it. */
export function DeviceLine({ device: { id, name, first, seen, isThis } }: { device: PhonesView["devices"][number] }) {
  const fetcher = useFetcher<{ id: string; done: string; error: string }>();
  return (
    <chakra.li borderTop="1px solid" borderColor="line" paddingBlock="10px">
      <fetcher.Form method="post">
        <input type="hidden" name="id" value={id} />
        <Bar gap="8px 12px">
          <TextInput
            name="name"
            defaultValue={name}
            aria-label={`Name of ${name}`}
            maxLength={40}
            width={{ base: "100%", md: "260px" }}
          />
          <Action name="intent" value="rename">
            Keep the name
          </Action>
          <Action name="intent" value="drop" aria-label={`Drop ${name}`}>
            {isThis ? "Log this phone out" : "Drop it"}
          </Action>
        </Bar>
      </fetcher.Form>
      <QuietSpan size="small">
        {isThis ? "This phone. " : ""}In since {first}, last seen {seen}.
      </QuietSpan>{" "}
      <span aria-live="polite">
        {fetcher.data?.error ? <ErrorLine>{fetcher.data.error}</ErrorLine> : fetcher.data?.done}
      </span>
    </chakra.li>
  );
}
