import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { FieldErrors } from "~/core/issues";
import { START_EVENTS, type StartEvent } from "~/core/crops";
import { MATTERS } from "~/core/garden";
import { Field } from "~/ui/forms/Field";
import { Choice, TextInput } from "~/ui/theme/parts";
import type { PlantingPageView } from "./planting-page";

const EVENT_WORDS: Record<StartEvent, string> = {
  sown: "sown",
  planted: "planted",
  blossom: "blossom",
  growth: "new growth",
};

interface PlantingFieldsProps {
  page: PlantingPageView;
  errors: FieldErrors;
}

const Two = ({ children }: { children: ReactNode }) => (
  <Box display="grid" gap="14px" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} marginBottom="14px">
    {children}
  </Box>
);

/** The facts of a planting that can be changed, its crop and its start among them. */
export function PlantingFields({ page, errors }: PlantingFieldsProps) {
  return (
    <>
      <WhatAndWhere page={page} errors={errors} />
      <StartFields page={page} errors={errors} />
      <WishFields page={page} errors={errors} />
    </>
  );
}

/** "usually 30 in a metre". */
const inARow = (perM: number | null, unit: "m" | "ft") => {
  if (perM === null) return "";
  const per = unit === "m" ? perM : perM * 0.3048;
  return per < 1 ? `; usually one every ${(1 / per).toFixed(1)} ${unit}` : `; usually ${Number(per.toFixed(per < 10 ? 1 : 0))} in a ${unit === "m" ? "metre" : "foot"}`; // prettier-ignore
};

function WhatAndWhere({ page: { row, beds, crops, rowUnit, plantsPerM }, errors }: PlantingFieldsProps) {
  return (
    <Two>
      <Field label="Crop" error={errors.cropId}>
        {(ids) => (
          <Choice {...ids} name="cropId" defaultValue={row.cropId}>
            {crops.every((c) => c.id !== row.cropId) && (
              <option value={row.cropId}>{row.cropId}, no longer known</option>
            )}
            {crops.map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
          </Choice>
        )}
      </Field>
      <Field label="Variety" error={errors.variety}>
        {(ids) => <TextInput {...ids} name="variety" defaultValue={row.variety} />}
      </Field>
      <Field label="Plants" error={errors.plants}>
        {(ids) => <TextInput {...ids} name="plants" inputMode="numeric" defaultValue={row.plants} />}
      </Field>
      <Field
        label={`or row, ${rowUnit === "m" ? "metres" : "feet"}`}
        help={`left empty: the plants count${inARow(plantsPerM, rowUnit)}`}
        error={errors.rowLength}
      >
        {(ids) => <TextInput {...ids} name="rowLength" inputMode="decimal" defaultValue={row.rowLength} />}
      </Field>
      <Field label="Bed" error={errors.bedId}>
        {(ids) => (
          <Choice {...ids} name="bedId" defaultValue={row.bedId}>
            {beds.map((b) => (
              <option key={b.id} value={b.id}>
                {b.name}
              </option>
            ))}
          </Choice>
        )}
      </Field>
    </Two>
  );
}

/** How the season began: a day, or a range where it is not known to the day. */
function StartFields({ page: { row, season, crop }, errors }: PlantingFieldsProps) {
  const reckoned = season.startStanding === "told" ? undefined : "worked out from the climate, until you say it";
  return (
    <Two>
      <Box gridColumn="1 / -1">
        <Field label="This season began with" error={errors.startEvent}>
          {(ids) => (
            <Choice {...ids} name="startEvent" defaultValue={season.startEvent}>
              {START_EVENTS.map((e) => (
                <option key={e} value={e}>
                  {EVENT_WORDS[e]}
                </option>
              ))}
            </Choice>
          )}
        </Field>
      </Box>
      <Field label="On" help={reckoned} error={errors.startedOn}>
        {(ids) => <TextInput {...ids} type="date" name="startedOn" defaultValue={season.startedOn} />}
      </Field>
      <Field label="or by" help="only when the day is not known: the latest it can have been" error={errors.startedTo}>
        {(ids) => <TextInput {...ids} type="date" name="startedTo" defaultValue={season.startedTo ?? ""} />}
      </Field>
      <Field
        label="Packet says, from"
        help={`days; left empty: ${crop.packet.low}, the crop’s usual`}
        error={errors.packetLow}
      >
        {(ids) => <TextInput {...ids} name="packetLow" inputMode="numeric" defaultValue={row.packetLow ?? ""} />}
      </Field>
      <Field label="to" help={`days; left empty: ${crop.packet.high}`} error={errors.packetHigh}>
        {(ids) => <TextInput {...ids} name="packetHigh" inputMode="numeric" defaultValue={row.packetHigh ?? ""} />}
      </Field>
    </Two>
  );
}

const MATTER_WORDS = { little: "less than the others", usual: "as the others", much: "more than the others" };

function WishFields({ page: { row, crop, way, units }, errors }: PlantingFieldsProps) {
  return (
    <Two>
      {crop.school ? (
        <Field
          label={crop.school.question}
          help={`${way?.own ? "Yours, from the notes" : "Usual"}: ${way?.label}. ${crop.school.why}.`}
        >
          {(ids) => (
            <Choice {...ids} name="schoolOption" defaultValue={row.schoolOption ?? ""}>
              <option value="">{way?.own ? "as in the notes" : "as usual"}</option>
              {crop.school?.options.map((o) => (
                <option key={o.id} value={o.id}>
                  {o.label}
                </option>
              ))}
            </Choice>
          )}
        </Field>
      ) : (
        <input type="hidden" name="schoolOption" value="" />
      )}
      <Field label="Grown for" error={errors.forSeed}>
        {(ids) => (
          <Choice {...ids} name="forSeed" defaultValue={row.forSeed ? "yes" : "no"}>
            <option value="no">the kitchen</option>
            <option value="yes">its seed</option>
          </Choice>
        )}
      </Field>
      <Field label="It matters" help="when time is short" error={errors.matters}>
        {(ids) => (
          <Choice {...ids} name="matters" defaultValue={row.matters}>
            {MATTERS.map((m) => (
              <option key={m} value={m}>
                {MATTER_WORDS[m]}
              </option>
            ))}
          </Choice>
        )}
      </Field>
      {crop.keepsGiving ? (
        <Field
          label="We eat of it in a week"
          help={`${units === "us" ? "ounces" : "grams"}; left empty: all that comes`}
          error={errors.eats}
        >
          {(ids) => <TextInput {...ids} name="eats" inputMode="decimal" autoComplete="off" defaultValue={row.eats} />}
        </Field>
      ) : (
        <input type="hidden" name="eats" value="" />
      )}
      <Field label="Bed needed on" help="left empty when it may stay" error={errors.bedNeededOn}>
        {(ids) => <TextInput {...ids} type="date" name="bedNeededOn" defaultValue={row.bedNeededOn ?? ""} />}
      </Field>
    </Two>
  );
}
