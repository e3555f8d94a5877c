import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/demo-step";
import { requestDb } from "~/db/client.server";
import { stepDemoClock } from "~/services/clock.server";

const Days = z.coerce.number().int().min(1).max(30);

export async function action({ request }: Route.ActionArgs) {
  const days = Days.safeParse((await request.formData()).get("days"));
  if (!days.success) throw data("The demo steps 1 to 30 days at a time.", { status: 400 });
  const outcome = stepDemoClock(requestDb(), days.data);
  if (outcome.status === "not the demo") throw data("Only the demo's clock can be stepped.", { status: 403 });
  return redirect("/");
}
