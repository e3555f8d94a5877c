import { createHash, randomBytes } from "node:crypto";
import { createCookie } from "react-router";

/** A day, as cookies count. */
const DAY_S = 86_400;

/** What lets somebody in: shown by them, kept here as its hash only. */
export const newToken = () => randomBytes(32).toString("base64url");
export const hashOf = (token: string) => createHash("sha256").update(token).digest("base64url");

/**
 * A cookie that carries such a token: signed, not readable by scripts, sent to us only, by HTTPS only. The beginning of
 * its name has the browser hold to that (RFC 6265bis, `__Host-`).
 */
export const secretCookie = (name: string, secret: string, days: number) =>
  createCookie(`__Host-${name}`, { secrets: [secret], httpOnly: true, secure: true, sameSite: "lax", path: "/", maxAge: days * DAY_S }); // prettier-ignore

/** The token that a request's cookies show; undefined where there is none, or not one of ours. */
export async function tokenIn(
  cookie: ReturnType<typeof secretCookie>,
  cookies: string | null,
): Promise<string | undefined> {
  // prettier-ignore
  const token: unknown = cookies ? await cookie.parse(cookies) : undefined;
  return typeof token === "string" ? token : undefined;
}
