import type { Plan } from '../plan/schema';

/** Measured response of a device that was made from an own model, dB at a frequency in hertz; null where there is none. */
export function ownResponse(plan: Plan, device: string): ((hz: number) => number) | null {
  const { own } = plan.devices[device];
  const curve = own === undefined ? undefined : plan.models?.[own]?.response;
  if (!curve || curve.length === 0) return null;
  return (hz) => {
    if (hz <= curve[0][0]) return curve[0][1];
    const k = curve.findIndex(([f]) => f >= hz);
    if (k < 0) return curve[curve.length - 1][1];
    const [f0, a] = curve[k - 1];
    const [f1, b] = curve[k];
    return a + ((b - a) * Math.log(hz / f0)) / Math.log(f1 / f0);
  };
}
