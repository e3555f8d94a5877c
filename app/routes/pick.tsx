import { Box, chakra } from "@chakra-ui/react";
import { desc, eq } from "drizzle-orm";
import { Form, Link, data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/pick";
import { CONDITIONS, FATES } from "~/core/ledger";
import { sayMass } from "~/core/units";
import { pickCorrection } from "~/db/schema.server";
import { containersOf } from "~/services/containers.server";
import { knownGarden } from "~/services/known-garden.server";
import { ledgerLines } from "~/services/ledger-view.server";
import { correctPick, withdrawPick } from "~/services/log-pick.server";
import { PickForm, fieldErrors, type FieldErrors } from "~/services/pick-form";
import { ErrorLine, Field, TextInput } from "~/ui/forms/Field";
import { ContainerChoice, WordChoice } from "~/ui/forms/PickChoices";
import { Action } from "~/ui/shell/Action";

export const meta: Route.MetaFunction = () => [{ title: "Correct a line · Akmedon" }];

/** What a corrected line said, as far as it is shown. */
const EarlierLine = z.object({ grams: z.number().nullable(), pieces: z.number().nullable(), outcome: z.string() });

export function loader({ params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const line = ledgerLines(db).find((l) => l.id === params.pickId);
  if (!line) throw data("This line is not in the ledger.", { status: 404 });
  const earlier = db.select().from(pickCorrection).where(eq(pickCorrection.pickId, line.id)).orderBy(desc(pickCorrection.id)).all(); // prettier-ignore
  return {
    line,
    containers: containersOf(db),
    units: garden.unitSystem,
    earlier: earlier.map((e) => {
      const was = EarlierLine.parse(JSON.parse(e.earlier));
      const amount = [
        was.pieces === null ? "" : `${was.pieces} pieces`,
        was.grams === null ? "" : sayMass(was.grams, garden.unitSystem),
      ]
        .filter(Boolean)
        .join(", ");
      return { at: e.correctedAt.slice(0, 10), was: amount || was.outcome };
    }),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { db } = knownGarden();
  const fields = Object.fromEntries(await request.formData());
  if (fields.intent === "withdraw" || fields.intent === "put back") {
    withdrawPick(db, params.pickId, fields.intent === "put back");
    return redirect("/ledger");
  }
  const form = PickForm.safeParse({ ...fields, id: params.pickId });
  const refuse = (errors: FieldErrors) => data({ errors, typed: fields as Record<string, string> }, { status: 400 });
  if (!form.success) return refuse(fieldErrors(form.error));
  const outcome = correctPick(db, form.data);
  if (outcome.status === "refused") return refuse(outcome.errors);
  if (outcome.status === "no such planting") throw data("This line is not in the ledger.", { status: 404 });
  return redirect("/ledger");
}

export default function CorrectPick({ loaderData, actionData }: Route.ComponentProps) {
  const { line, containers, earlier, units } = loaderData;
  const errors: FieldErrors = actionData?.errors ?? {};
  const typed = actionData?.typed;
  const weight = line.grossGrams ?? line.grams;
  return (
    <Box maxWidth="720px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <chakra.h1 fontSize="2rem">Correct a line</chakra.h1>
      <chakra.p color="soft" margin="2px 0 14px">
        {line.crop}
        {line.variety ? `, ${line.variety}` : ""}, {line.bed}, {line.pickedOn}. What it says now is kept.
      </chakra.p>
      <Form method="post">
        <input type="hidden" name="plantingId" value={line.plantingId} />
        <Box display="grid" gap="14px" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }}>
          <Field label="What came of it" error={errors.outcome}>
            {(ids) => (
              <WordChoice
                {...ids}
                words={["picked", "nothing ready"]}
                name="outcome"
                defaultValue={typed?.outcome ?? line.outcome}
              />
            )}
          </Field>
          <Field label="Picked on" error={errors.pickedOn}>
            {(ids) => (
              <TextInput {...ids} type="date" name="pickedOn" defaultValue={typed?.pickedOn ?? line.pickedOn} />
            )}
          </Field>
          <Field label="Pieces" error={errors.count}>
            {(ids) => (
              <TextInput {...ids} name="count" inputMode="numeric" defaultValue={typed?.count ?? line.pieces ?? ""} />
            )}
          </Field>
          <Field label="Weight" help="with the container on, if one is chosen" error={errors.weight}>
            {(ids) => (
              <TextInput
                {...ids}
                name="weight"
                defaultValue={
                  typed?.weight ??
                  (weight === null
                    ? ""
                    : units === "us"
                      ? `${(weight / 453.59237).toFixed(2)} lb`
                      : `${Math.round(weight * 10) / 10} g`)
                }
              />
            )}
          </Field>
          <Field label="Weighed in" error={errors.containerId}>
            {(ids) => (
              <ContainerChoice
                {...ids}
                containers={containers}
                units={units}
                name="containerId"
                defaultValue={typed?.containerId ?? line.containerId ?? ""}
              />
            )}
          </Field>
          <Field label="How many of them" error={errors.containerCount}>
            {(ids) => (
              <TextInput
                {...ids}
                name="containerCount"
                inputMode="numeric"
                defaultValue={typed?.containerCount ?? line.containerCount ?? 1}
              />
            )}
          </Field>
          <Field label="Condition">
            {(ids) => (
              <WordChoice
                {...ids}
                words={CONDITIONS}
                name="condition"
                defaultValue={typed?.condition ?? line.condition}
              />
            )}
          </Field>
          <Field label="Where it goes">
            {(ids) => <WordChoice {...ids} words={FATES} name="fate" defaultValue={typed?.fate ?? line.fate} />}
          </Field>
          <Field label="Note" error={errors.note}>
            {(ids) => <TextInput {...ids} name="note" defaultValue={typed?.note ?? line.note} />}
          </Field>
          <Box display="grid" gap="6px" alignContent="center">
            <label>
              <input type="checkbox" name="tookAll" defaultChecked={line.tookAll} /> All that was ready came off
            </label>
            <label>
              <input type="checkbox" name="estimated" defaultChecked={line.estimated} /> Guessed, not weighed
            </label>
          </Box>
        </Box>
        {errors.form && <ErrorLine>{errors.form}</ErrorLine>}
        <Box display="flex" flexWrap="wrap" gap="10px" marginTop="18px">
          <Action tone="loud" name="intent" value="save">
            Save the correction
          </Action>
          <Action name="intent" value={line.withdrawnAt ? "put back" : "withdraw"}>
            {line.withdrawnAt ? "Put the line back" : "Strike the line out"}
          </Action>
        </Box>
      </Form>
      {earlier.length > 0 && (
        <Box marginTop="20px">
          <chakra.h2 fontSize="1.2rem">It said before</chakra.h2>
          <chakra.ul listStyleType="disc" paddingLeft="20px">
            {earlier.map((e, i) => (
              <li key={i}>
                {e.was} (until {e.at})
              </li>
            ))}
          </chakra.ul>
        </Box>
      )}
      <chakra.p marginTop="16px">
        <Link to="/ledger">Back to the ledger</Link>
      </chakra.p>
    </Box>
  );
}
