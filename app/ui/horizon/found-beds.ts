import type { HorizonView } from "~/views/horizon/horizon-view";

type Beds = HorizonView["beds"];

/** The beds with the plantings whose bed, crop, variety or verdict has every word; the beds themselves without words. */
export function foundBeds(beds: Beds, words: string): Beds {
  const sought = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (sought.length === 0) return beds;
  return beds.flatMap((bed) => {
    const plantings = bed.plantings.filter((p) => {
      const text = [bed.name, p.crop, p.variety, p.short].join(" ").toLowerCase();
      return sought.every((word) => text.includes(word));
    });
    return plantings.length > 0 ? [{ ...bed, plantings }] : [];
  });
}
