import { Box, chakra } from "@chakra-ui/react";
import { Form, data, redirect } from "react-router";
import type { Route } from "./+types/setup";
import { requestDb } from "~/db/client.server";
import { theGarden } from "~/services/clock.server";
import { fieldErrors } from "~/services/pick-form";
import { GardenForm, setUpGarden } from "~/services/set-up-garden.server";
import { Choice, Field, TextInput } from "~/ui/forms/Field";
import { Action } from "~/ui/shell/Action";

export const meta: Route.MetaFunction = () => [{ title: "A new garden · Akmedon" }];

export function loader() {
  if (theGarden(requestDb())) throw redirect("/");
  return { zones: Intl.supportedValuesOf("timeZone"), zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
}

export async function action({ request }: Route.ActionArgs) {
  const fields = Object.fromEntries(await request.formData()) as Record<string, string>;
  const form = GardenForm.safeParse(fields);
  if (!form.success) return data({ errors: fieldErrors(form.error), typed: fields }, { status: 400 });
  setUpGarden(requestDb(), form.data);
  return redirect("/beds");
}

export default function Setup({ loaderData, actionData }: Route.ComponentProps) {
  const errors = actionData?.errors ?? {};
  const typed = actionData?.typed ?? {};
  return (
    <Box maxWidth="620px" margin="0 auto" padding={{ base: "28px 18px", md: "56px 28px" }}>
      <chakra.h1 fontSize="2.2rem">Where is the garden?</chakra.h1>
      <chakra.p color="soft" margin="6px 0 18px">
        Place and time zone give sunrise, frost nights and a first guess of the climate. Everything stays in one file on
        this machine.
      </chakra.p>
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
                <TextInput {...ids} name="timeZone" list="zones" defaultValue={typed.timeZone ?? loaderData.zone} />
                <datalist id="zones">
                  {loaderData.zones.map((z) => (
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
    </Box>
  );
}
