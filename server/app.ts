import { randomBytes } from "node:crypto";
import path from "node:path";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type ErrorRequestHandler, type Express, type RequestHandler, type Response } from "express";
import helmet from "helmet";
import type { ServerBuild } from "react-router";
import { tooMuch, type Refusal } from "./limits";
import { strangerIn } from "./strangers";

const refuse = (response: Response, { status, sentence, headers = {} }: Refusal) =>
  response.status(status).set(headers).type("text/plain").send(sentence);

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

const onlyOurselves: RequestHandler = (request, response, next) => {
  const { method, path, headers } = request;
  const sentence = strangerIn({ method, path, host: headers.host, origin: headers.origin, site: headers["sec-fetch-site"] as string | undefined }); // prettier-ignore
  if (sentence) refuse(response, { status: 403, sentence });
  else next();
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

/**
 * The server around the built app: it lets nobody in from outside, sets the headers, hands out files and pages.
 *
 * @param build - the built app
 * @param assets - folder of its files for the browser
 */
export function gardenServer(build: ServerBuild, assets: string): Express {
  const app = express();
  app.disable("x-powered-by");
  app.use(withNonce, headers, onlyOurselves, withinLimits, compression());
  app.use("/assets", express.static(path.join(assets, "assets"), { immutable: true, maxAge: "1y" }));
  app.use(express.static(assets, { maxAge: "1h" }));
  app.use(
    createRequestHandler({ build, getLoadContext: (_, response) => ({ nonce: response.locals.nonce as string }) }),
  );
  app.use(inASentence);
  return app;
}
