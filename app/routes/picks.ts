import { z } from "zod";
import type { Route } from "./+types/picks";
import { requestDb } from "~/db/client.server";
import { logPick, withdrawPick } from "~/services/log-pick.server";
import { PickForm, fieldErrors } from "~/services/pick-form";
import { markErrand } from "~/services/round.server";

const PassBy = z.object({
  intent: z.literal("pass by"),
  roundId: z.string(),
  plantingId: z.string(),
  done: z.enum(["yes", "no"]),
});
const TakeBack = z.object({ intent: z.literal("take back"), id: z.string() });

/** Where a device sends what it logged, also later from its outbox; sending twice writes once. */
export async function action({ request }: Route.ActionArgs) {
  const fields = Object.fromEntries(await request.formData());
  const passBy = PassBy.safeParse(fields);
  if (passBy.success) {
    markErrand(requestDb(), passBy.data.roundId, passBy.data.plantingId, passBy.data.done === "yes");
    return Response.json({ status: "logged" });
  }
  const takeBack = TakeBack.safeParse(fields);
  if (takeBack.success) {
    withdrawPick(requestDb(), takeBack.data.id);
    return Response.json({ status: "taken back" });
  }
  const form = PickForm.safeParse(fields);
  if (!form.success) return Response.json({ status: "refused", errors: fieldErrors(form.error) }, { status: 400 });
  const outcome = logPick(requestDb(), form.data);
  if (outcome.status === "refused") return Response.json(outcome, { status: 400 });
  if (outcome.status === "no such planting")
    return Response.json({ status: "refused", errors: { form: "This planting is no longer there." } }, { status: 404 });
  return Response.json({ status: "logged" });
}
