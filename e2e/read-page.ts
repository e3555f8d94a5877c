import type { Page } from "@playwright/test";

/** A measure of one system: a number with its unit, a clock, a day before its month. */
const OF = {
  metric:
    /(?<![\w:])\d{1,2}:\d{2}(?! ?[ap]m)(?!\d)|\d ?(?:°C|mm|cm|kg|g|km\/h|km|m|litres?|metres?)(?![\w²])|°C|\bkm\/h\b|\b\d{1,2} (?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)/,
  us: /\d ?(?:°F|in(?=[,;.)]|$)|(?:ft|lb|oz|mph|quarts?)(?!\w))|°F|\b(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]* \d{1,2}\b(?!:)|\d [ap]m\b/,
};

/** Texts of a drawn page that say a measure of a system: what is seen, and what is read aloud. */
export async function measuresOf(page: Page, system: keyof typeof OF): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const seen = document.body.innerText.split("\n");
    const said = [...document.querySelectorAll("[aria-label],[title],[placeholder],[aria-description],[aria-valuetext]")]
      .flatMap((e) => ["aria-label", "title", "placeholder", "aria-description", "aria-valuetext"].map((a) => e.getAttribute(a))); // prettier-ignore
    const typed = [...document.querySelectorAll("option")].map((o) => o.textContent);
    return [...seen, ...said, ...typed].filter((t): t is string => Boolean(t?.trim()));
  });
  return [...new Set(texts)].filter((t) => OF[system].test(t));
}
