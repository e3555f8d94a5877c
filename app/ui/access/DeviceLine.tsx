import { chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import type { DeviceInView } from "~/views/access/phones-view";
import { Field } from "~/ui/forms/Field";
import { Action, Bar, QuietSpan, TextInput } from "~/ui/theme/parts";
import { WhatCame, type PhoneAnswer } from "./WhatCame";

/** A phone that is in: its name and whose it is, to be changed where they stand, and out with it. */
export function DeviceLine({ device: { id, name, person, first, seen, isThis } }: { device: DeviceInView }) {
  const fetcher = useFetcher<PhoneAnswer>();
  return (
    <chakra.li borderTop="1px solid" borderColor="line" paddingBlock="10px">
      <fetcher.Form method="post">
        <input type="hidden" name="id" value={id} />
        <Bar gap="8px 12px" alignItems="end">
          <Field label="Name">
            {(ids) => (
              <TextInput {...ids} name="name" defaultValue={name} aria-label={`Name of ${name}`} maxLength={40} />
            )}
          </Field>
          <Field label="Whose">
            {(ids) => (
              <TextInput {...ids} name="person" defaultValue={person} aria-label={`Whose ${name} is`} maxLength={40} />
            )}
          </Field>
          <Action name="intent" value="describe" aria-label={`Keep what is said of ${name}`}>
            Keep
          </Action>
          <Action name="intent" value="drop" aria-label={`Drop ${name}`}>
            {isThis ? "Log this phone out" : "Drop it"}
          </Action>
        </Bar>
      </fetcher.Form>
      <QuietSpan size="small">
        {isThis ? "This phone. " : ""}In since {first}, last seen {seen}.
      </QuietSpan>{" "}
      <WhatCame answer={fetcher.data} />
    </chakra.li>
  );
}
