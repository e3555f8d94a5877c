import { randomBytes } from "node:crypto";
import path from "node:path";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, {
  type ErrorRequestHandler,
  type Express,
  type Request,
  type RequestHandler,
  type Response,
} from "express";
import helmet from "helmet";
import type { AppLoadContext, ServerBuild } from "react-router";
import type { Gate } from "~/services/access/gate.server";
import { tooMuch, type Refusal } from "./limits";
import { strangerIn } from "./strangers";

/** A helper comes when the household is back, or by no link of ours. */
const LINK_OVER = "This link is over, or never was one. Ask the household for another.";

/** Bytes of a refused body that are not worth a new line. */
const PASSED_OVER = 16_384;

type Knock = NonNullable<AppLoadContext["knock"]>;

const refuse = (response: Response, { status, sentence, headers = {} }: Refusal) =>
  response.status(status).set(headers).type("text/plain").send(sentence);

const heldOff = (response: Response) =>
  refuse(response, { status: 429, sentence: "That was tried too often from here. Wait a quarter of an hour, then try again.", headers: { "Retry-After": "900" } }); // prettier-ignore

/** A number used once: only scripts that carry it run. */
const withNonce: RequestHandler = (_, response, next) => {
  response.locals.nonce = randomBytes(16).toString("base64");
  next();
};

/**
 * The standard headers, and a policy under which a page runs our scripts only. Styles may stand in the page: the
 * interface's library writes them there, and they run nothing.
 */
const headers = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'", (_, response) => `'nonce-${(response as Response).locals.nonce as string}'`],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", "data:", "blob:"],
      fontSrc: ["'self'", "data:"],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  xFrameOptions: { action: "deny" },
  // With none at all, a browser calls the sender of our own forms “null”.
  referrerPolicy: { policy: "same-origin" },
  // Plain HTTP on this machine: a browser must not be told to come by HTTPS.
  strictTransportSecurity: false,
});

const onlyOurselves =
  (door: Door | undefined): RequestHandler =>
  (request, response, next) => {
    const { method, path, headers } = request;
    const sentence = strangerIn({ method, path, host: headers.host, origin: headers.origin, site: headers["sec-fetch-site"] as string | undefined }, door); // prettier-ignore
    if (sentence) refuse(response, { status: 403, sentence });
    else next();
  };

/** Page data is fetched by the app itself, which follows an answer of this kind to another page. */
const toLogin = (response: Response, path: string, to: string) => {
  if (path.endsWith(".data")) return response.status(204).set({ "X-Remix-Redirect": to, "X-Remix-Reload-Document": "true" }).end(); // prettier-ignore
  return response.redirect(302, to);
};

/** A small body is passed over behind the answer; behind a large one the line is closed. */
const unread = (request: Request, response: Response) =>
  Number(request.headers["content-length"] ?? 0) > PASSED_OVER ? response.set("Connection", "close") : response;

/** Where a passphrase is tried. */
const TRIED_AT = ["/login", "/login.data"];

/** Whoever guesses is answered before anything else is done for it, so that the household's own requests are heard. */
const nobodyWhoGuesses =
  ({ gate }: Door): RequestHandler =>
  (request, response, next) => {
    response.locals.door = true;
    if (request.method !== "POST" || !TRIED_AT.includes(request.path) || !gate.isHeldOff(request.ip ?? "")) return next(); // prettier-ignore
    heldOff(unread(request, response));
  };

/** At the door that the network reaches: who has not given the passphrase is asked for it, and nothing is read of what was sent. */
const onlyTheHousehold =
  ({ gate }: Door): RequestHandler =>
  (request, response, next) => {
    const { method, path } = request;
    const address = request.ip ?? "";
    gate
      .answer({ method, path, cookies: request.headers.cookie, address })
      .then((answer) => {
        if (answer.status === "tried too often") return heldOff(unread(request, response));
        if (answer.status === "link over")
          return refuse(unread(request, response), { status: 410, sentence: LINK_OVER });
        if (answer.status === "in") {
          response.locals.knock = { address, deviceId: answer.deviceId, helperId: answer.helperId };
          return next();
        }
        if (method !== "GET") return refuse(unread(request, response), { status: 401, sentence: "Give the passphrase first." }); // prettier-ignore
        const page = path.replace(/\.data$/, "");
        return toLogin(response, path, page === "/" || page === "/_root" ? "/login" : `/login?to=${encodeURIComponent(page)}`); // prettier-ignore
      })
      .catch(next);
  };

/** Nothing a device was shown at the door is kept by it, or by anything between: neither a page nor that there is none. */
const keepsNothing: RequestHandler = (_, response, next) => {
  response.set("Cache-Control", "no-store");
  next();
};

const withinLimits: RequestHandler = (request, response, next) => {
  const refusal = tooMuch(request.method, request.path, request.headers);
  if (!refusal) return next();
  // What is refused is not read to its end: the line is closed behind the answer.
  refuse(response.set("Connection", "close"), refusal);
};

/** What went wrong before a page could answer: an address that cannot be read is the asker's, all else ours. */
const inASentence: ErrorRequestHandler = (error: unknown, _, response, next) => {
  if (response.headersSent) return next(error);
  const status = (error as { status?: number }).status ?? 500;
  if (status >= 500) console.error(error);
  const sentence = status < 500 ? "There is no such page in the garden." : "Something went wrong on our side. Nothing you saved is lost."; // prettier-ignore
  refuse(response, { status, sentence });
};

/** The door that the network reaches. */
export interface Door {
  gate: Gate;
  /** Names and addresses by which the household calls its server. */
  names: readonly string[];
  /** The household's certificate authority, for its phones; none where the certificate is another's. */
  authority?: string | undefined;
  /** Another server of this machine stands before it, speaks HTTPS for it, and says who comes. */
  behindProxy?: boolean;
}

/**
 * The server around the built app: it lets nobody in from outside, sets the headers, hands out files and pages.
 *
 * @param build - the built app
 * @param assets - folder of its files for the browser
 * @param door - where the network reaches it: nobody gets past without the passphrase. On this machine there is none
 * @param requests - writes down what is asked
 */
export function gardenServer(
  build: ServerBuild,
  assets: string,
  { door, requests }: { door?: Door; requests?: RequestHandler | undefined } = {},
): Express {
  // prettier-ignore
  const app = express();
  app.disable("x-powered-by");
  // What a proxy of this machine says of the sender is believed, and nobody else.
  app.set("trust proxy", door?.behindProxy ? "loopback" : false);
  if (requests) app.use(requests);
  if (door) app.use(nobodyWhoGuesses(door));
  app.use(withNonce, headers, onlyOurselves(door), withinLimits, compression());
  app.use("/assets", express.static(path.join(assets, "assets"), { immutable: true, maxAge: "1y" }));
  app.use(express.static(assets, { maxAge: "1h" }));
  if (door) {
    const { authority } = door;
    if (authority) app.get("/authority.crt", (_, response) => void response.type("application/x-x509-ca-cert").send(authority)); // prettier-ignore
    app.use(keepsNothing, onlyTheHousehold(door));
  }
  const { version } = build.assets;
  app.use((_, response, next) => {
    // By this a phone tells what it may keep: pages name files of their own build.
    response.set("X-Akmedon-Build", version);
    next();
  });
  app.use(
    createRequestHandler({
      build,
      getLoadContext: (_, response) => ({ nonce: response.locals.nonce as string, knock: response.locals.knock as Knock, build: version }), // prettier-ignore
    }),
  );
  app.use(inASentence);
  return app;
}
