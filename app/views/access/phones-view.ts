/** A QR code beside what it says. */
interface Coded {
  text: string;
  /** As the source of an image. */
  picture: string;
}

/** Where phones find the garden, and which are in. */
export interface PhonesView {
  isLocked: boolean;
  address: Coded | null;
  /** The household's own authority, where it vouches for the address: where to fetch it, and how a phone shows it. */
  authority: { at: string; fingerprint: string } | null;
  devices: { id: string; name: string; first: string; seen: string; isThis: boolean }[];
}
