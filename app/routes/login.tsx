import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/login";
import { login } from "~/services/access/login.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { LoginPage } from "~/ui/access/LoginPage";
import { fieldsOf } from "./form";
import { pageOfOurs } from "./our-page";

export const meta: Route.MetaFunction = () => [{ title: "The passphrase · Akmedon" }];

const Login = z.object({ passphrase: z.string(), device: z.string(), person: z.string().default("") });

/** On this machine nobody is asked, and who is in needs no passphrase. */
export function loader({ context: { knock } }: Route.LoaderArgs) {
  if (!knock || knock.deviceId) throw redirect("/");
  return null;
}

export const action = wholeOrTold(async ({ request, context: { knock } }: Route.ActionArgs) => {
  if (!knock) throw redirect("/");
  const form = Login.safeParse(await fieldsOf(request));
  const typed = { device: form.data?.device ?? "", person: form.data?.person ?? "" };
  const refuse = (sentence: string) => data({ sentence, ...typed }, { status: 400 });
  if (!form.success || form.data.passphrase === "") return refuse("Type the household’s passphrase.");
  const cookie = await login(
    form.data.passphrase,
    { name: typed.device, person: typed.person },
    knock.address,
    knock.deviceId,
  );
  if (!cookie) return refuse("That is not the household’s passphrase. Small and capital letters count.");
  const to = pageOfOurs(new URL(request.url).searchParams.get("to") ?? "/");
  return redirect(to, { headers: { "Set-Cookie": cookie } });
});

export default function LoginRoute({ actionData }: Route.ComponentProps) {
  return <LoginPage sentence={actionData?.sentence} device={actionData?.device} person={actionData?.person} />;
}
