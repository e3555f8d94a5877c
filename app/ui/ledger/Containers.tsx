import { Box } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import type { FieldErrors } from "~/core/issues";
import type { UnitSystem } from "~/core/units";
import { Field } from "~/ui/forms/Field";
import { Action, Bar, PlainList, TextInput } from "~/ui/theme/parts";
import { containerWords, type ContainerToChoose } from "~/views/ledger/container-words";

/** The household's own crates and baskets with their empty weights. */
export function Containers({ containers, units }: { containers: ContainerToChoose[]; units: UnitSystem }) {
  const fetcher = useFetcher<{ errors: FieldErrors; done: string }>();
  const errors = fetcher.data?.errors ?? {};
  return (
    <Box display="grid" gap="10px">
      <PlainList>
        {containers.map((c) => (
          <li key={c.id}>
            <fetcher.Form method="post" action="/ledger">
              <input type="hidden" name="id" value={c.id} />
              <Bar>
                <span>{containerWords(c, units)}</span>
                <Action
                  size="small"
                  tone="bare"
                  name="intent"
                  value="remove container"
                  aria-label={`${c.name} is gone`}
                >
                  It is gone
                </Action>
              </Bar>
            </fetcher.Form>
          </li>
        ))}
      </PlainList>
      {/* Empty again once one is added, so that it is not added twice. */}
      <fetcher.Form method="post" action="/ledger" key={containers.length}>
        <Box display="grid" gap="10px" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr auto" }} alignItems="start">
          <Field label="A container of yours" error={errors.name}>
            {(ids) => <TextInput {...ids} name="name" placeholder="Blue bucket" autoComplete="off" />}
          </Field>
          <Field label="weighs, when empty" error={errors.tare}>
            {(ids) => (
              <TextInput
                {...ids}
                name="tare"
                placeholder={units === "us" ? "1 lb 2 oz" : "1.2 kg"}
                autoComplete="off"
              />
            )}
          </Field>
          <Action name="intent" value="add container" marginTop={{ md: "26px" }}>
            Keep it
          </Action>
        </Box>
        <span aria-live="polite">{fetcher.data?.done && `✓ ${fetcher.data.done}`}</span>
      </fetcher.Form>
    </Box>
  );
}
