import { chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import type { PhonesView } from "~/views/access/phones-view";
import { Field } from "~/ui/forms/Field";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, PlainList, Quiet, TextInput } from "~/ui/theme/parts";
import { DeviceLine } from "./DeviceLine";
import { WhatCame, type PhoneAnswer } from "./WhatCame";

/** Which phones are in, by whose they are: named, given to somebody, dropped. */
export function PeopleCard({ people, personHere }: Pick<PhonesView, "people" | "personHere">) {
  const isOne = new Set([...people.map((p) => p.person), personHere].filter(Boolean)).size <= 1;
  return (
    <Card title="In the garden">
      {people.length === 0 && <p>No phone has given the passphrase yet.</p>}
      {people.map(({ person, devices }) => (
        <chakra.section key={person} aria-label={person || "Nobody’s yet"} marginBottom="10px">
          {!isOne && (
            <chakra.h3 fontSize="1.15rem" marginBlock="10px 6px">
              {person || "Nobody’s yet"}
            </chakra.h3>
          )}
          <PlainList>
            {devices.map((d) => (
              <DeviceLine key={d.id} device={d} />
            ))}
          </PlainList>
        </chakra.section>
      ))}
      <Fold summary="Who uses the machine the garden runs on" quiet open={!isOne}>
        <Here person={personHere} />
      </Fold>
      <Quiet marginTop="8px">
        A phone that is lost: drop it here, and it is out at once. A phone unseen for half a year is out by itself.
      </Quiet>
    </Card>
  );
}

/** The machine itself is asked for no passphrase, so that it is asked here. */
function Here({ person }: { person: string }) {
  const fetcher = useFetcher<PhoneAnswer>();
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="id" value="" />
      <Bar gap="8px 12px" alignItems="end">
        <Field label="Name">
          {(ids) => <TextInput {...ids} name="person" defaultValue={person} maxLength={40} autoComplete="off" />}
        </Field>
        <Action name="intent" value="here" aria-label="Keep who uses this machine">
          Keep
        </Action>
        <WhatCame answer={fetcher.data} />
      </Bar>
      <Quiet>So that the ledger can say who picked. Leave it empty if you garden alone.</Quiet>
    </fetcher.Form>
  );
}
