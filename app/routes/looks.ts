import type { Route } from "./+types/looks";
import { requestDb } from "~/db/client.server";
import { fieldErrors } from "~/services/pick-form";
import { LookForm, takeLook } from "~/services/take-look.server";

/** Where a device sends the cues it read, also later from its outbox. */
export async function action({ request }: Route.ActionArgs) {
  const form = LookForm.safeParse(Object.fromEntries(await request.formData()));
  if (!form.success) return Response.json({ status: "refused", errors: fieldErrors(form.error) }, { status: 400 });
  const outcome = takeLook(requestDb(), form.data);
  if (outcome.status === "taken" || outcome.status === "taken back") return Response.json(outcome);
  const sentence = outcome.status === "no such planting" ? "This planting is no longer there." : outcome.status === "still to come" ? "That day is still to come." : "That is not a look this crop knows."; // prettier-ignore
  return Response.json({ status: "refused", errors: { look: sentence } }, { status: 404 });
}
