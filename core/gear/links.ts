/** What joins grounds without carrying sound: the usual cause of hum from playback gear. */

export const LINKS = ['usb', 'hdmi', 'network', 'dmx', 'antenna', 'rails'] as const;
export type Link = (typeof LINKS)[number];

/** Resistance of a link's shield with both its plugs, ohms, and of each metre more; and the usual length, metres. Measured ranges: USB 0.1–0.5 Ω, HDMI
 *  0.05–0.2 Ω, shielded network cable 50–100 mΩ/m, DMX 20–40 mΩ/m, antenna coax 10–20 mΩ/m, rack rails 1–10 mΩ. */
const SHIELDS: Readonly<Record<Link, { readonly ohm: number; readonly ohmPerMetre: number; readonly metres: number }>> =
  {
    usb: { ohm: 0.25, ohmPerMetre: 0, metres: 2 },
    hdmi: { ohm: 0.1, ohmPerMetre: 0, metres: 5 },
    network: { ohm: 0.02, ohmPerMetre: 0.075, metres: 20 },
    dmx: { ohm: 0.02, ohmPerMetre: 0.03, metres: 20 },
    antenna: { ohm: 0.02, ohmPerMetre: 0.015, metres: 5 },
    rails: { ohm: 0.005, ohmPerMetre: 0, metres: 0 }
  };

/** What a link of the usual length puts between two chassis, ohms. */
export const linkOhm = (link: Link): number => {
  const { ohm, ohmPerMetre, metres } = SHIELDS[link];
  return ohm + ohmPerMetre * metres;
};
