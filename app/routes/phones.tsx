import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/phones";
import { describeDevice, dropDevice, forgetCookie } from "~/services/access/devices.server";
import { personName, setPersonHere } from "~/services/access/people.server";
import { phonesPage } from "~/services/access/phones-page.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { PhonesPage } from "~/ui/access/PhonesPage";
import { fieldsOf } from "./form";

export const meta: Route.MetaFunction = () => [{ title: "Phones · Akmedon" }];

const PhoneAct = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("drop"), id: z.string() }),
  z.object({ intent: z.literal("describe"), id: z.string(), name: z.string(), person: z.string() }),
  z.object({ intent: z.literal("here"), id: z.literal(""), person: z.string() }),
]);

export function loader({ context: { knock } }: Route.LoaderArgs) {
  const { AKMEDON_ADDRESS: address, AKMEDON_FINGERPRINT: fingerprint } = process.env;
  const { db, garden } = knownGarden();
  return phonesPage(db, garden, { address, fingerprint }, knock?.deviceId ?? null);
}

export const action = wholeOrTold(async ({ request, context: { knock } }: Route.ActionArgs) => {
  const { db } = knownGarden();
  const act = PhoneAct.safeParse(await fieldsOf(request));
  if (!act.success) throw data("That is not something the phones can do.", { status: 400 });
  const { intent, id } = act.data;
  const gone = () => data({ id, done: "", error: "This phone is no longer in." }, { status: 400 });
  if (intent === "here") {
    setPersonHere(db, personName(act.data.person));
    return data({ id, done: "Kept.", error: "" });
  }
  if (intent === "describe") return describeDevice(db, id, act.data) ? data({ id, done: "Kept.", error: "" }) : gone();
  if (!dropDevice(db, id, new Date())) return gone();
  if (id === knock?.deviceId) throw redirect("/login", { headers: { "Set-Cookie": await forgetCookie(db) } });
  return data({ id, done: "It is dropped: to come in again it has to give the passphrase.", error: "" });
});

export default function Phones({ loaderData }: Route.ComponentProps) {
  return <PhonesPage {...loaderData} />;
}
