import type { Route } from "./+types/looks";
import { requestDb } from "~/db/client.server";
import { fieldErrors } from "~/services/pick-form";
import { CountForm, takeCount } from "~/services/take-count.server";
import { LookForm, takeLook } from "~/services/take-look.server";

const SENTENCES = {
  "no such planting": "This planting is no longer there.",
  "still to come": "That day is still to come.",
  "unknown cue": "That is not a look this crop knows.",
} as const;

/** Where a device sends the cues it read and the pieces it counted, also later from its outbox. */
export async function action({ request }: Route.ActionArgs) {
  const fields = Object.fromEntries(await request.formData());
  const form = fields.intent === "count" ? CountForm.safeParse(fields) : LookForm.safeParse(fields);
  if (!form.success) return Response.json({ status: "refused", errors: fieldErrors(form.error) }, { status: 400 });
  const db = requestDb();
  const outcome = "what" in form.data ? takeCount(db, form.data) : takeLook(db, form.data);
  if (outcome.status === "taken" || outcome.status === "taken back") return Response.json(outcome);
  return Response.json({ status: "refused", errors: { look: SENTENCES[outcome.status] } }, { status: 404 });
}
