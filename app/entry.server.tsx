import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { renderToPipeableStream } from "react-dom/server";
import { isRouteErrorResponse, ServerRouter, type AppLoadContext, type EntryContext } from "react-router";
import { Nonce } from "~/ui/shell/nonce";

declare module "react-router" {
  interface AppLoadContext {
    /** Set by the server in front of the app; a development server has none. */
    nonce?: string;
    /** By what this build of the app is known. */
    build?: string;
    /** Where a request to the door that the network reaches came from, and the device it is in with; none at this machine's own. */
    knock?: { address: string; deviceId: string | null; helperId: string | null };
  }
}

/** For the server in front of the app: who is let through. */
export { gate } from "~/services/access/gate.server";

/** A slow part of a page is given up after this; what stands stays. */
export const streamTimeout = 20_000;

/** What went wrong on our side is written down; an address that is none is not. */
export function handleError(error: unknown, { request }: { request: Request }): void {
  if (!request.signal.aborted && !isRouteErrorResponse(error)) console.error(error);
}

/** Writes a page: what stands at once, slow parts as they come; one that fails does not take the page with it. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  { nonce }: AppLoadContext,
): Promise<Response> | Response {
  if (request.method === "HEAD") return new Response(null, { status, headers });
  return new Promise((resolve, reject) => {
    const whole = isbot(request.headers.get("user-agent") ?? "");
    let stands = false;
    const answer = () => {
      stands = true;
      const body = new PassThrough();
      body.once("close", () => clearTimeout(late));
      headers.set("Content-Type", "text/html; charset=utf-8");
      resolve(new Response(createReadableStreamFromReadable(body), { status, headers }));
      pipe(body);
    };
    const { pipe, abort } = renderToPipeableStream(
      <Nonce value={nonce}>
        <ServerRouter context={routerContext} url={request.url} {...(nonce ? { nonce } : {})} />
      </Nonce>,
      {
        ...(nonce ? { nonce } : {}),
        [whole ? "onAllReady" : "onShellReady"]: answer,
        onShellError: (error: unknown) => reject(error as Error),
        onError: (error: unknown) => {
          if (stands) console.error(error);
        },
      },
    );
    const late = setTimeout(() => abort(new Error("A part of the page took too long.")), streamTimeout + 1000);
  });
}
