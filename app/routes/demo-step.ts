import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/demo-step";
import { requestDb } from "~/db/client.server";
import { stepDemoClock, theGarden } from "~/services/clock.server";
import { refreshWeather } from "~/services/refresh-weather.server";

/** The step waits this long for the new day's weather; without it the last stands. */
const PATIENCE = { timeoutMs: 2500, retries: 0, waitMs: 0 };
const Days = z.coerce.number().int().min(1).max(30);

export async function action({ request }: Route.ActionArgs) {
  const form = await request.formData();
  const days = Days.safeParse(form.get("days"));
  const back = z
    .string()
    .regex(/^\/(?!\/)/)
    .catch("/")
    .parse(form.get("back"));
  if (!days.success) throw data("The demo steps 1 to 30 days at a time.", { status: 400 });
  const db = requestDb();
  const outcome = stepDemoClock(db, days.data);
  if (outcome.status === "not the demo") throw data("Only the demo's clock can be stepped.", { status: 403 });
  await refreshWeather(db, theGarden(db)!, PATIENCE);
  return redirect(back);
}
