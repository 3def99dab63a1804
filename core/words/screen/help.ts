/** Help where one stands: what a view is for, what its words and numbers mean. */

export const HELP_VIEWS = [
  'shows',
  'kit',
  'memory',
  'learn',
  'drill',
  'crew',
  'lines',
  'compare',
  'propose',
  'schools',
  'show-kit',
  'measure',
  'paper',
  'check',
  'listen',
  'earth',
  'trace',
  'analyse',
  'log'
] as const;
export type HelpView = (typeof HELP_VIEWS)[number];

interface Help {
  readonly title: string;
  readonly what: string;
  readonly words: readonly (readonly [term: string, meaning: string])[];
}

const LEVELS = [
  ['dBu', 'decibels over 0.775 V; line level of professional gear lies at +4, a microphone far below'],
  ['headroom', 'how far the loudest peak stays below where something clips'],
  ['S/N', 'how far the noise lies below the signal, in decibels'],
  ['hum', 'how far hum lies below the signal; more is better']
] as const;
const SEVERITIES = [
  ['clean, note, care, stop, danger', 'from nothing to say to what can hurt somebody; each with its own mark']
] as const;

export const HELP: Readonly<Record<HelpView, Help>> = {
  shows: {
    title: 'Shows',
    what: 'Every show with what stands on its lines at a glance. Open one, or begin a new one.',
    words: [...SEVERITIES, ['plan file', 'a show as a file to send, or to keep elsewhere; it is read back here']]
  },
  kit: {
    title: 'Kit',
    what: 'What the crew owns. Shows plan with it, unless they are told to plan with anything.',
    words: [
      ['numbered', 'a thing with a label of its own: what fails on it stays with it'],
      ['condition', 'what is away or broken is not planned with']
    ]
  },
  memory: {
    title: 'Memory',
    what: 'What was done, what worked, who plays what, and places, from every show of the crew. Two or three words find it.',
    words: [
      ['worked', 'a line that was checked and marked as working, with how it was set'],
      ['want', 'what a player or an instrument wants; held against the plan wherever it is used']
    ]
  },
  learn: {
    title: 'Learn',
    what: 'One idea a lesson, on a line that is solved while you turn it. From a finding on the board, why leads here on your own line.',
    words: [
      ['by hand', 'a formula that fits in one line, with the numbers in it; beside it is what the whole network says'],
      ['the judge', 'the same checks as on the board']
    ]
  },
  drill: {
    title: 'Drill',
    what: 'A rig that is not there, with a fault in it. Ask tests, then name the cause.',
    words: [['points', 'fewer minutes and better evidence give more; a guess gives little']]
  },
  crew: {
    title: 'Crew',
    what: 'People, what they may do, their devices, and links for strangers.',
    words: [['reader, engineer, owner', 'who looks, who changes, who lets others in']]
  },
  lines: {
    title: 'Lines',
    what: 'Each row is a line: a source, what stands between, and where it goes. Type one as you would mail it; open it to see what is wrong and what would fix it.',
    words: [
      ['level', 'what reaches the input, on average, in dBu'],
      ['gain', 'what the preamp has to add, in decibels'],
      ...LEVELS.slice(1),
      ['marks on a cable', 'connector, balance, level, impedance, ground, in this order'],
      ...SEVERITIES
    ]
  },
  compare: {
    title: 'Compare',
    what: 'Every way from this source to where it goes, each computed, best first.',
    words: [['lost by', 'the number by which a way is not the best'], ...LEVELS]
  },
  propose: {
    title: 'Proposal',
    what: 'The best use of the kit over all lines at once. Take all of it, some, or none.',
    words: [
      ['now → then', 'what a line is judged as before and after'],
      ['locked', 'a line that stays as it is, whatever would be better']
    ]
  },
  schools: {
    title: 'Rules of thumb',
    what: 'What the rules that people work by would do with this show, beside what is computed.',
    words: [['parts from it', 'where a rule says something else than the network, and by how much']]
  },
  'show-kit': {
    title: 'Kit of the show',
    what: 'What this show may use: the crew’s kit, a list of its own, or anything.',
    words: [['short of', 'what is planned and not there']]
  },
  measure: {
    title: 'Measure',
    what: 'What a device really is, by a sweep through two resistors, or by a multimeter.',
    words: [
      ['±', 'how sure a value is: it lies within that in two of three cases'],
      ['its class', 'the network that the judge works with, with the values that were found'],
      ['full scale', 'the most that the interface takes or gives; in dBu once one voltage is known'],
      ['saturates at 20 Hz', 'the level that fills the core of a DI; twice the frequency takes twice the level']
    ]
  },
  paper: {
    title: 'Paper',
    what: 'The plan as it is carried to the stage. Printed, as PDF, or as a table.',
    words: [['changed since', 'what is other than on the sheet that was printed before']]
  },
  check: {
    title: 'Line check',
    what: 'One line after the other, on the stage: in the order that is safe, with what it should read.',
    words: [
      ['gate', 'a step that comes before the next: mute, then phantom, then wait'],
      ['expected', 'what the plan says it should read; what is off is explained'],
      ...LEVELS.slice(0, 2)
    ]
  },
  listen: {
    title: 'Listen',
    what: 'A plan heard before it is built, or takes side by side, all equally loud.',
    words: [
      ['blind', 'which is which is not shown until it is over'],
      ['ABX', 'X is one of the two: which? The count tells what guessing would have done'],
      ['LUFS', 'loudness as the ear has it, by BS.1770']
    ]
  },
  earth: {
    title: 'Ground map',
    what: 'Supplies, shields and the loops between them, with what each does to which line.',
    words: [
      ['loop', 'a ring of shields and earths in which current flows'],
      ['EMF', 'the voltage between two earths with nothing joined'],
      ['lift', 'opens the shield at a DI; mains earth is never lifted']
    ]
  },
  trace: {
    title: 'Trace a noise',
    what: 'A noise found by evidence: the next test is the one that tells most for its time.',
    words: [
      ['%', 'how likely a cause is after what was answered'],
      ['none of these', 'what it may be that no list has']
    ]
  },
  analyse: {
    title: 'Analyse a recording',
    what: 'What is in a recording of noise: mains, harmonics, whine, clicks, hiss.',
    words: [['harmonics', 'multiples of the mains; odd ones hum, many of them buzz']]
  },
  log: {
    title: 'Log',
    what: 'What happened, written by itself, and what people type into it.',
    words: [
      ['take', 'a recording with its number; how things were set then can be brought back'],
      ['correction', 'a new entry that points at the old one: nothing is deleted']
    ]
  }
};

export const help = {
  title: (view: string) => `Help: ${view}`,
  meaning: 'What it means',
  keys: 'Keys',
  everywhere: [
    ['?', 'this'],
    ['U', 'convert levels and units'],
    ['Esc', 'close what is open']
  ],
  lesson: 'Sixteen lessons'
} as const;
