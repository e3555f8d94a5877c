import { chakra } from "@chakra-ui/react";
import { Form } from "react-router";
import { Field } from "~/ui/forms/Field";
import { Action, TextInput } from "~/ui/theme/parts";

interface LoginPageProps {
  /** What was wrong with what was typed. */
  sentence: string | undefined;
  device: string | undefined;
  person: string | undefined;
}

/** Asked once on each phone: the household's passphrase, what the phone is called, and whose it is. */
export function LoginPage({ sentence, device, person }: LoginPageProps) {
  return (
    <chakra.main maxWidth="460px" margin={{ base: "6vh auto", md: "12vh auto" }} padding="24px">
      <chakra.h1 fontSize="2.2rem">Akmedon</chakra.h1>
      <chakra.p margin="4px 0 20px">
        This garden is its household’s. It asks for the passphrase once on each phone.
      </chakra.p>
      <Form method="post" reloadDocument>
        <chakra.div display="grid" gap="14px">
          <Field label="Passphrase" error={sentence}>
            {(ids) => (
              <TextInput
                {...ids}
                name="passphrase"
                type="password"
                autoComplete="current-password"
                autoFocus
                required
              />
            )}
          </Field>
          <Field label="This phone is called" help="By this name it can be dropped again, should it be lost.">
            {(ids) => (
              <TextInput
                {...ids}
                name="device"
                defaultValue={device}
                autoComplete="off"
                maxLength={40}
                placeholder="Kitchen phone"
              />
            )}
          </Field>
          <Field label="Whose it is" help="So that the ledger can say who picked. Leave it empty if you garden alone.">
            {(ids) => (
              <TextInput {...ids} name="person" defaultValue={person} autoComplete="given-name" maxLength={40} />
            )}
          </Field>
          <Action type="submit" tone="loud">
            Let me in
          </Action>
        </chakra.div>
      </Form>
    </chakra.main>
  );
}
