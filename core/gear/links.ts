/** What joins grounds without carrying sound: the usual cause of hum from playback gear. */

export const LINKS = ['usb', 'hdmi', 'network', 'dmx', 'antenna', 'rails'] as const;
export type Link = (typeof LINKS)[number];

/**
 * What a link of the usual length puts between two chassis by its shield and both its plugs, ohms. Measured ranges: USB 0.1–0.5 Ω, HDMI 0.05–0.2 Ω,
 * shielded network cable 50–100 mΩ/m (here 20 m), DMX 20–40 mΩ/m (20 m), antenna coax 10–20 mΩ/m (5 m), each with 20 mΩ for its plugs, rack rails 1–10 mΩ.
 */
export const LINK_OHM: Readonly<Record<Link, number>> = {
  usb: 0.25,
  hdmi: 0.1,
  network: 1.52,
  dmx: 0.62,
  antenna: 0.095,
  rails: 0.005
};
