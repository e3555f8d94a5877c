/** A QR code beside what it says. */
interface Coded {
  text: string;
  /** As the source of an image. */
  picture: string;
}

/** A phone or computer that is in. */
export interface DeviceInView {
  id: string;
  name: string;
  person: string;
  first: string;
  seen: string;
  isThis: boolean;
}

/** Where phones find the garden, and which are in. */
export interface PhonesView {
  isLocked: boolean;
  address: Coded | null;
  /** The household's own authority, where it vouches for the address: where to fetch it, and how a phone shows it. */
  authority: { at: string; fingerprint: string } | null;
  /** Whose this machine itself is, which is asked for no passphrase. */
  personHere: string;
  /** By whose they are; one group without a name where nobody said. */
  people: { person: string; devices: DeviceInView[] }[];
}
