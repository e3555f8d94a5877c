import { Box } from "@chakra-ui/react";
import { Form } from "react-router";
import type { FieldErrors } from "~/core/entries";
import { Field } from "~/ui/forms/Field";
import { Action, Choice, Page, PageName, Quiet, TextInput } from "~/ui/theme/parts";

interface SetupPageProps {
  zones: string[];
  /** The likely one. */
  zone: string;
  errors: FieldErrors;
  typed: Partial<Record<string, string>>;
}

/** The first page: where the garden lies, and how its household measures. */
export function SetupPage({ zones, zone, errors, typed }: SetupPageProps) {
  return (
    <Page width="narrow" padding={{ base: "28px 18px", md: "56px 28px" }}>
      <PageName>Where is the garden?</PageName>
      <Quiet margin="6px 0 18px">
        Place and time zone give sunrise, frost nights and a first guess of the climate. Everything stays in one file on
        this machine.
      </Quiet>
      <Form method="post">
        <Box display="grid" gap="14px" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }}>
          <Box gridColumn="1 / -1">
            <Field label="Its name" error={errors.name}>
              {(ids) => <TextInput {...ids} name="name" defaultValue={typed.name} placeholder="Back garden" />}
            </Field>
          </Box>
          <Field label="Latitude" help="North is positive" error={errors.latitude}>
            {(ids) => (
              <TextInput
                {...ids}
                name="latitude"
                inputMode="decimal"
                defaultValue={typed.latitude}
                placeholder="52.4"
              />
            )}
          </Field>
          <Field label="Longitude" help="East is positive" error={errors.longitude}>
            {(ids) => (
              <TextInput
                {...ids}
                name="longitude"
                inputMode="decimal"
                defaultValue={typed.longitude}
                placeholder="-0.6"
              />
            )}
          </Field>
          <Field label="Time zone" error={errors.timeZone}>
            {(ids) => (
              <>
                <TextInput {...ids} name="timeZone" list="zones" defaultValue={typed.timeZone ?? zone} />
                <datalist id="zones">
                  {zones.map((z) => (
                    <option key={z} value={z} />
                  ))}
                </datalist>
              </>
            )}
          </Field>
          <Field label="Units" error={errors.unitSystem}>
            {(ids) => (
              <Choice {...ids} name="unitSystem" defaultValue={typed.unitSystem ?? "metric"}>
                <option value="metric">kg, mm, °C</option>
                <option value="us">lb, inches, °F</option>
              </Choice>
            )}
          </Field>
        </Box>
        <Action tone="loud" marginTop="18px">
          Begin
        </Action>
      </Form>
    </Page>
  );
}
