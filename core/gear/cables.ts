import { param, type ParamSpec } from './types';
import { mates, type Plug, type Socket } from './sockets';

export interface CableKind {
  readonly id: CableKindId;
  /** Conductors inside the shield. */
  readonly cores: 1 | 2;
  /** Plugs such a lead is made with; the first that fits a socket is taken. */
  readonly plugs: readonly Plug[];
  /** Per metre: farads and ohms. Min–typ–max by physics of the class. */
  readonly params: Readonly<Record<'cShield' | 'cCores' | 'rShield' | 'rCore', ParamSpec>>;
  /** Inequality of the two cores' capacitance to the shield, as a fraction. */
  readonly mismatch: number;
  /**
   * Area per metre that a stray field finds between its two cores, m²: spacing of the cores less what their twist
   * undoes (H. W. Ott, ch. 2). Star-quad: 10–20 dB less.
   */
  readonly coreArea: number;
  /** No shield at all: its cores lie bare beside each other. */
  readonly bare?: true;
}
export type CableKindId = 'instrument' | 'rca' | 'mini' | 'mic' | 'star-quad' | 'multicore' | 'speaker';

const pF = 1e-12;
const milli = 1e-3;
/** Per-metre value that a person may also set to nothing. */
const perMetre = (quantity: 'capacitance' | 'resistance', min: number, typ: number, max: number): ParamSpec =>
  param(quantity, min, typ, max, 0, max * 10);

/** Core resistance of about 0.22 mm² copper, 80 mΩ per metre (IEC 60228). */
const CORE = perMetre('resistance', 60 * milli, 80 * milli, 120 * milli);

export const CABLES: Readonly<Record<CableKindId, CableKind>> = {
  instrument: {
    id: 'instrument',
    cores: 1,
    plugs: ['ts', 'rca', 'mini', 'xlr'],
    params: {
      cShield: perMetre('capacitance', 70 * pF, 110 * pF, 160 * pF),
      cCores: perMetre('capacitance', 0, 0, 0),
      rShield: perMetre('resistance', 15 * milli, 30 * milli, 40 * milli),
      rCore: CORE
    },
    mismatch: 0,
    coreArea: 0
  },
  rca: {
    id: 'rca',
    cores: 1,
    plugs: ['rca', 'ts', 'mini', 'xlr'],
    params: {
      cShield: perMetre('capacitance', 60 * pF, 100 * pF, 150 * pF),
      cCores: perMetre('capacitance', 0, 0, 0),
      rShield: perMetre('resistance', 30 * milli, 45 * milli, 60 * milli),
      rCore: CORE
    },
    mismatch: 0,
    coreArea: 0
  },
  mini: {
    id: 'mini',
    cores: 2,
    plugs: ['mini', 'trs', 'xlr', 'ts', 'rca'],
    params: {
      cShield: perMetre('capacitance', 80 * pF, 120 * pF, 180 * pF),
      cCores: perMetre('capacitance', 30 * pF, 50 * pF, 80 * pF),
      rShield: perMetre('resistance', 40 * milli, 60 * milli, 90 * milli),
      rCore: perMetre('resistance', 100 * milli, 140 * milli, 200 * milli)
    },
    mismatch: 0.03,
    coreArea: 1e-4
  },
  mic: {
    id: 'mic',
    cores: 2,
    plugs: ['xlr', 'trs', 'ts', 'rca'],
    params: {
      cShield: perMetre('capacitance', 100 * pF, 110 * pF, 120 * pF),
      cCores: perMetre('capacitance', 60 * pF, 70 * pF, 80 * pF),
      rShield: perMetre('resistance', 25 * milli, 30 * milli, 40 * milli),
      rCore: CORE
    },
    mismatch: 0.03,
    coreArea: 3e-5
  },
  'star-quad': {
    id: 'star-quad',
    cores: 2,
    plugs: ['xlr', 'trs', 'ts', 'rca'],
    params: {
      cShield: perMetre('capacitance', 150 * pF, 176 * pF, 200 * pF),
      cCores: perMetre('capacitance', 95 * pF, 112 * pF, 130 * pF),
      rShield: perMetre('resistance', 25 * milli, 30 * milli, 40 * milli),
      rCore: perMetre('resistance', 30 * milli, 40 * milli, 60 * milli)
    },
    mismatch: 0.02,
    coreArea: 5e-6
  },
  multicore: {
    id: 'multicore',
    cores: 2,
    plugs: ['xlr', 'trs', 'ts', 'rca'],
    params: {
      cShield: perMetre('capacitance', 90 * pF, 110 * pF, 140 * pF),
      cCores: perMetre('capacitance', 40 * pF, 60 * pF, 80 * pF),
      rShield: perMetre('resistance', 40 * milli, 50 * milli, 60 * milli),
      rCore: CORE
    },
    mismatch: 0.04,
    coreArea: 3e-5
  },
  speaker: {
    id: 'speaker',
    cores: 2,
    plugs: ['speaker', 'ts'],
    params: {
      cShield: perMetre('capacitance', 0, 0, 0),
      cCores: perMetre('capacitance', 50 * pF, 80 * pF, 150 * pF),
      // No shield: its minus core is the return. 2 × 2.5 mm² copper, 7 mΩ per metre each.
      rShield: perMetre('resistance', 1e6, 1e6, 1e6),
      rCore: perMetre('resistance', 5 * milli, 7 * milli, 8 * milli)
    },
    mismatch: 0,
    coreArea: 2e-3,
    bare: true
  }
};

export const CABLE_KIND_IDS = Object.keys(CABLES) as readonly CableKindId[];
/** Longest cable that may be planned, metres. */
export const MAX_METRES = 500;

/** The plug that such a cable would have to fit the socket; its customary one when none fits. */
export function plugFor(kind: CableKindId, socket: Socket): Plug {
  const { plugs } = CABLES[kind];
  const exact = plugs.find((plug) => plug === socket);
  return exact ?? plugs.find((plug) => mates(plug, socket)) ?? plugs[0];
}
