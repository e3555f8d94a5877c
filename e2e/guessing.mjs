// Guesses a passphrase as fast as it is answered, from an address of its own, for some seconds: its first argument is the
// door, the second the authority's file, the third the seconds. Says how many guesses came back with which status.
import { readFileSync } from "node:fs";
import { Agent, request } from "node:https";

const [door, authority, seconds] = process.argv.slice(2);
const LINES = 40;
const MOST = 10_000;
const agent = new Agent({
  keepAlive: true,
  maxSockets: LINES,
  ca: readFileSync(authority),
  localAddress: "127.0.0.66",
});
const counted = {};
const until = Date.now() + 1000 * Number(seconds);
let sent = 0;

function guess() {
  const body = `passphrase=guess+${sent++}+of+many&device=x`;
  const headers = { Origin: door, "User-Agent": "Mozilla/5.0", "Content-Type": "application/x-www-form-urlencoded", "Content-Length": body.length }; // prettier-ignore
  return new Promise((resolve) => {
    const asked = request(`${door}/login`, { method: "POST", agent, headers }, (answer) => {
      counted[answer.statusCode] = (counted[answer.statusCode] ?? 0) + 1;
      answer.resume().on("end", resolve);
    });
    asked.on("error", resolve).end(body);
  });
}

await Promise.all(
  Array.from({ length: LINES }, async () => {
    while (Date.now() < until && sent < MOST) await guess();
  }),
);
agent.destroy();
console.log(JSON.stringify(counted));
