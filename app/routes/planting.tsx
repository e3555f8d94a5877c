import { Box, chakra } from "@chakra-ui/react";
import { eq } from "drizzle-orm";
import { Form, Link, data, redirect } from "react-router";
import type { Route } from "./+types/planting";
import { bed, planting } from "~/db/schema.server";
import { PlantingForm, editPlanting, finishPlanting, removePlanting } from "~/services/beds.server";
import { cropsOf, wayOf } from "~/services/household-crops.server";
import { sayDay } from "~/core/calendar";
import { windowSchool } from "~/core/readiness";
import { todayOf } from "~/services/clock.server";
import { knownGarden } from "~/services/known-garden.server";
import { fieldErrors } from "~/services/pick-form";
import { TreatmentForm, logTreatment, treatmentsOf, withdrawTreatment } from "~/services/treatments.server";
import { Treatments } from "~/ui/beds/Treatments";
import { Choice, ErrorLine, Field, TextInput } from "~/ui/forms/Field";
import { Action } from "~/ui/shell/Action";

export const meta: Route.MetaFunction = () => [{ title: "Change a planting · Akmedon" }];

export function loader({ params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const row = db.select().from(planting).where(eq(planting.id, params.plantingId)).get();
  const crop = cropsOf(db).find((c) => c.id === row?.cropId);
  if (!row || !crop) throw data("This planting is no longer there.", { status: 404 });
  return {
    row,
    beds: db.select().from(bed).all().sort((a, b) => a.position - b.position), // prettier-ignore
    crop: { name: crop.name, packet: crop.packet, school: windowSchool(crop) ?? null },
    way: wayOf(db, crop),
    treatments: treatmentsOf(db, row.id),
    today: todayOf(garden),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { db, garden } = knownGarden();
  const fields = Object.fromEntries(await request.formData());
  if (fields.intent === "finish" || fields.intent === "reopen") {
    finishPlanting(db, garden, params.plantingId, fields.intent === "finish");
    return redirect("/beds");
  }
  if (fields.intent === "remove") {
    const outcome = removePlanting(db, params.plantingId);
    if (outcome.status === "refused")
      return data({ errors: { form: outcome.sentence } as Record<string, string | undefined> }, { status: 400 });
    return redirect("/beds");
  }
  if (fields.intent === "withdraw treatment" || fields.intent === "restore treatment") {
    withdrawTreatment(db, String(fields.treatmentId), fields.intent === "restore treatment");
    return data({ errors: {} as Record<string, string | undefined>, done: "Noted." });
  }
  if (fields.intent === "log treatment") {
    const told = TreatmentForm.safeParse({ ...fields, plantingId: params.plantingId });
    if (!told.success) return data({ errors: fieldErrors(told.error) }, { status: 400 });
    const logged = logTreatment(db, garden, told.data);
    if (logged.status === "refused")
      return data({ errors: logged.errors as Record<string, string | undefined> }, { status: 400 });
    const done = `Logged: no pick before ${sayDay(logged.until, todayOf(garden))}.`;
    return data({ errors: {} as Record<string, string | undefined>, done });
  }
  const form = PlantingForm.safeParse({ ...fields, plantingId: params.plantingId });
  if (!form.success) return data({ errors: fieldErrors(form.error) }, { status: 400 });
  const outcome = editPlanting(db, garden, form.data);
  if (outcome.status === "refused")
    return data({ errors: outcome.errors as Record<string, string | undefined> }, { status: 400 });
  return redirect(`/check/${params.plantingId}`);
}

export default function Planting({ loaderData, actionData }: Route.ComponentProps) {
  const { row, beds, crop, way } = loaderData;
  const errors: Partial<Record<string, string>> = actionData?.errors ?? {};
  return (
    <Box maxWidth="720px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <chakra.h1 fontSize="2rem" marginBottom="12px">
        {crop.name}
      </chakra.h1>
      <Form method="post">
        <Box display="grid" gap="14px" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }}>
          <Field label="Variety" error={errors.variety}>
            {(ids) => <TextInput {...ids} name="variety" defaultValue={row.variety} />}
          </Field>
          <Field label="Plants" error={errors.plants}>
            {(ids) => <TextInput {...ids} name="plants" inputMode="numeric" defaultValue={row.plants} />}
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
          <Field
            label={
              { blossom: "Blossom on", sown: "Sown on", planted: "Planted on", growth: "New growth on" }[row.startEvent]
            }
            error={errors.startedOn}
          >
            {(ids) => <TextInput {...ids} type="date" name="startedOn" defaultValue={row.startedOn} />}
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
          <Field label="Bed needed on" help="left empty when it may stay" error={errors.bedNeededOn}>
            {(ids) => <TextInput {...ids} type="date" name="bedNeededOn" defaultValue={row.bedNeededOn ?? ""} />}
          </Field>
        </Box>
        {errors.form && <ErrorLine>{errors.form}</ErrorLine>}
        <Box display="flex" flexWrap="wrap" gap="10px" marginTop="18px">
          <Action tone="loud" name="intent" value="save">
            Save
          </Action>
          {row.finishedOn ? (
            <Action name="intent" value="reopen">
              It still grows
            </Action>
          ) : (
            <Action name="intent" value="finish">
              Finished, bed is free
            </Action>
          )}
          <Action tone="bare" name="intent" value="remove">
            Typed by mistake: remove
          </Action>
        </Box>
      </Form>
      <Box marginTop="22px">
        <Treatments treatments={loaderData.treatments} today={loaderData.today} />
      </Box>
      <chakra.p marginTop="16px">
        <Link to="/beds">Back to the beds</Link>
      </chakra.p>
    </Box>
  );
}
