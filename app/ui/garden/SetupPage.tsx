import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Form } from "react-router";
import type { FieldErrors } from "~/core/issues";
import { Field } from "~/ui/forms/Field";
import { Brand } from "~/ui/shell/Brand";
import { Fold } from "~/ui/shell/Fold";
import { Action, Choice, Page, PageName, Quiet, TextInput } from "~/ui/theme/parts";
import { PlaceChoice, type Place } from "./PlaceChoice";

interface SetupPageProps {
  zones: string[];
  /** The likely one. */
  zone: string;
  errors: FieldErrors;
  typed: Partial<Record<string, string>>;
}

/** The first page: where the garden lies, and how its household measures. */
export function SetupPage({ zones, zone, errors, typed }: SetupPageProps) {
  const [place, setPlace] = useState<Place>();
  const wrongAt = errors.latitude ?? errors.longitude ?? errors.timeZone;
  return (
    <Page padding={{ base: "22px 18px", md: "40px 28px" }}>
      <Brand />
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 5fr) minmax(0, 4fr)" }}
        gap={{ base: "18px", lg: "56px" }}
        marginTop={{ base: "16px", md: "28px" }}
        alignItems="start"
      >
        <Form method="post">
          <PageName>Where is the garden?</PageName>
          <Quiet margin="6px 0 18px">
            The place gives sunrise, frost nights and the usual weather. Everything stays in one file on this machine.
          </Quiet>
          <Box display="grid" gap="14px" gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "1fr 1fr" }}>
            <Box gridColumn="1 / -1">
              <Field
                label="Place"
                error={place ? undefined : wrongAt}
                help={place && `${place.label}: ${place.latitude}, ${place.longitude}, ${place.timeZone}`}
              >
                {(ids) => <PlaceChoice ids={ids} chosen={place} onChoose={setPlace} />}
              </Field>
            </Box>
            <Field label="The garden’s name" help="Left empty: Our garden" error={errors.name}>
              {(ids) => <TextInput {...ids} name="name" defaultValue={typed.name} placeholder="Back garden" />}
            </Field>
            <Field label="Units" error={errors.unitSystem}>
              {(ids) => (
                <Choice
                  {...ids}
                  key={place?.units}
                  name="unitSystem"
                  defaultValue={place?.units ?? typed.unitSystem ?? "metric"}
                >
                  <option value="metric">kg, mm, °C</option>
                  <option value="us">lb, inches, °F</option>
                </Choice>
              )}
            </Field>
          </Box>
          <Fold quiet open={Boolean(wrongAt ?? errors.heightM)} summary="Coordinates, time zone, height above the sea">
            <Box
              display="grid"
              gap="14px"
              gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "1fr 1fr" }}
              key={place?.label}
            >
              <Field label="Latitude" help="North is positive" error={errors.latitude}>
                {(ids) => (
                  <TextInput
                    {...ids}
                    name="latitude"
                    inputMode="decimal"
                    defaultValue={place?.latitude ?? typed.latitude}
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
                    defaultValue={place?.longitude ?? typed.longitude}
                    placeholder="-0.6"
                  />
                )}
              </Field>
              <Field label="Time zone" error={errors.timeZone}>
                {(ids) => (
                  <>
                    <TextInput
                      {...ids}
                      name="timeZone"
                      list="zones"
                      defaultValue={place?.timeZone ?? typed.timeZone ?? zone}
                    />
                    <datalist id="zones">
                      {zones.map((z) => (
                        <option key={z} value={z} />
                      ))}
                    </datalist>
                  </>
                )}
              </Field>
              <Field label="Height above the sea" help="If you know it: high ground is colder" error={errors.heightM}>
                {(ids) => (
                  <TextInput {...ids} name="heightM" defaultValue={typed.heightM} placeholder="120 m or 400 ft" />
                )}
              </Field>
            </Box>
          </Fold>
          <Action tone="loud" marginTop="14px">
            Begin
          </Action>
        </Form>
        <chakra.aside borderLeft={{ lg: "2px dotted" }} borderColor={{ lg: "plum" }} paddingLeft={{ lg: "28px" }}>
          <chakra.h2 fontSize="1.35rem" marginBottom="8px">
            Then type what grows, a line each
          </chakra.h2>
          <chakra.pre fontFamily="body" whiteSpace="pre-wrap" lineHeight="1.7" margin="0" color="soft">
            {
              "Long bed:\n6 courgette, sown 3 May\n3 m of carrots Nantes, mid April\n60 onion sets, planted in March\nGreenhouse:\n4 Sungold, planted 20 May"
            }
          </chakra.pre>
          <Quiet marginTop="14px">
            Akmedon tells bed by bed what is at its best and what waits, and plans the rounds that bring it in before
            frost, storms, heat and trips.
          </Quiet>
        </chakra.aside>
      </Box>
    </Page>
  );
}
