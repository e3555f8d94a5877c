import { existsSync } from "node:fs";

/** Debian's Chromium, without a sandbox when run as root, and without its own network talk. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM ?? ["/usr/bin/chromium", "/usr/bin/chromium-browser"].find(existsSync) ?? "",
  args: [
    ...(process.getuid?.() === 0 ? ["--no-sandbox"] : []),
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
