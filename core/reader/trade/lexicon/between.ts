import { box, di, type Row } from './sense';

/** What stands between: DIs, boxes, adapters. */
export const BETWEEN: readonly Row[] = [
  // DIs
  di(
    undefined,
    'di|d.i|d.i.s|di boxen|di bokse|di bokser|di lador|di lada|caja directa|caja de inyeccion|scatola di|inyeccion directa|di box|direct box|direct injection|di unit|d i|di boxes|mono di|di pedal|dibox|direct injection box|boite de direct|did|d.i. box|di boks|caja di|caixa di|cassa di|boitier di|boite di|di mono|direct inject'
  ),
  di(
    undefined,
    'dual di|two channel di|2 channel di|2ch di|2 ch di|stereo di|twin di|double di|stereo di box|dual di box|two way di|di dual|di stereo',
    true
  ),
  di(
    'active-di',
    'two channel active di|2 channel active di|dual active di|stereo active di|twin active di|active dual di|active stereo di|2ch active di',
    true
  ),
  di(
    'passive-di',
    'two channel passive di|2 channel passive di|dual passive di|stereo passive di|twin passive di|passive dual di|passive stereo di|2ch passive di',
    true
  ),
  di(
    'active-di',
    'active di|active di box|active direct box|di active|aktive di|di attiva|di attivo|di activa|di activo|actieve di|di actieve|di aktiv|phantom powered di|phantom di|powered di|battery di|di battery powered|active box'
  ),
  di(
    'passive-di',
    'passive di|passive di box|passive transformer box|passive transformer di|passive direct box|transformer to low impedance|transformer to low z|impedance matching transformer|impedance transformer|matching transformer|hi z to lo z transformer|high to low impedance transformer|line matching transformer|transformer di|di passive|passive box|di passiva|di passivo|di pasiva|di pasivo|passieve di|di passiv|transformer di box|transformer iso di|trafo di|iso di|iso di box|isolated di|isolating di|isolation di|isolated di box|transformer isolated di|galvanically isolated di'
  ),
  di('active-di-10m', '10 meg di|10 meg active di|10 megohm di|10 mohm di|high impedance di|10 meg di box|di 10 meg'),
  di(
    'preamp-di',
    'preamp di|tube preamp di|valve preamp di|own preamp di|own preamp pedal|own di preamp|his own preamp di|her own preamp di|his preamp di|her preamp di|preamp di pedal|preamp di box|di preamp|preamp with di|preamp w di|preamp pedal|preamp pedal with di|preamp pedal w di|w preamp pedal|with preamp pedal|acoustic preamp di|acoustic preamp pedal|acoustic di preamp|di preamp pedal|tone preamp|preamp box|pedal preamp|acoustic pedal|eq preamp pedal|preamp di unit|acoustic preamp|acoustic preamp with di|bass preamp pedal|bass preamp di pedal|preamp floor pedal|floor preamp|floor preamp di'
  ),
  di(
    'media-di',
    'media di|di media|di media mono|mono media di|mini jack di|mini-jack di|media di mono|mono sum media di|mono summing media di|summing di|laptop di|pc di|av di|minijack di|multimedia di|media box|mono sum di|stereo to mono media di|stereo to mono media box|playback di|rca di|phono di|3.5 di|3.5 mm di|laptop di box|pc di box|computer di|minijack di box|media player di|audio visual di|multimedia di box'
  ),
  di(
    'media-di-stereo',
    'stereo media di|media di stereo|di media stereo|di stereo media|stereo laptop di|stereo pc di|dual media di|two channel media di|stereo av di|stereo minijack di|stereo media box|stereo playback di|stereo multimedia di'
  ),
  di(
    'speaker-di-passive',
    'transformer di with speaker pad|passive di with speaker pad|transformer di with speaker level pad|speaker line tapped by a transformer di|passive speaker di|passive speaker level di|passive speaker box|transformer speaker di|speaker di, passive|passive speaker tap'
  ),
  di(
    'speaker-di',
    'di with speaker pad|di with speaker level pad|speaker pad di|speaker di|speaker level di|spk level di|spkr level di|spkr di|spk di|speaker lvl di|speaker box di|speaker emulating di|amp di box|load di|cab sim di|speaker box|speaker level box|speaker tap di'
  ),
  di(
    'passive-di-economy',
    'cheap di|cheap passive di|passive di economy|passive di cheap|di economy|economy di box|economy di|economy passive di|budget di|economy passive box'
  ),
  [
    { is: 'preamp' },
    'preamp|pre amp|tube preamp|valve preamp|tube pre|valve pre|rack preamp|rack pre|outboard preamp|outboard pre|channel strip|vorverstarker|vorverstärker'
  ],
  // Boxes
  box(
    'buffer',
    'buffered out|buffered|buffer|impedance buffer|hi z buffer|buffer pedal|line buffer|buffered bypass pedal|booster pedal|clean boost|pedalboard buffer|buffer box'
  ),
  box(
    'mic-booster',
    'inline booster|in line booster|mic booster|inline mic booster|inline preamp|in line preamp|booster|mic activator|ribbon booster|inline mic preamp|microphone booster'
  ),
  box(
    'phono-preamp',
    'phono preamp|preampli phono|preamp phono|phono pre|phono stage|phono preamplifier|riaa preamp|riaa|phono amp|entzerrer|riaa pre'
  ),
  box(
    'load-box',
    'load box|loadbox|reactive load|load box line out|attenuator line out|dummy load|reactive load box|power soak'
  ),
  box(
    'patch-bay',
    'patch bay|patchbay|jackfield|jack field|patch panel|tie line|tie lines|tieline|steckfeld|patch field|normalled patchbay'
  ),
  box(
    'isolator',
    'transformer isolated|transformer isolated feed|isolated by a transformer|transformer isolated leg of a splitter|transformer isolated leg of splitter|isolated leg of a splitter|isolated leg of splitter|isolated output of a splitter|isolated output of splitter|isolated split output|transformer isolated output|transformer isolated split|isolated leg|isolated side of a splitter|isolator|line isolator|line iso|iso|isolation transformer|isolating transformer|line transformer|iso transformer|1 1 iso|1 1 isolator|1 1 transformer|iso box|ground loop isolator|hum eliminator|hum isolator|transformer isolator|line iso transformer|transformer iso|trennubertrager|übertrager|transformer box|isos'
  ),
  box(
    'splitter',
    'splitter|two way splitter|2 way splitter|three way splitter|3 way splitter|mic splitter|transformer split|transformer splitter|1 2 transformer splitter|1 2 splitter|split|split box|mic split|splitter box|isolated split|aby|aby box|aby pedal|a b y|press split|ob split|ob truck split|ob van split|broadcast split|two way split|passive split|transformer isolated split'
  ),
  box(
    'reamp-box',
    'reamp box|reamp transformer|re amp transformer|reamp transformer box|re amp box|reamper|reamp|re amp|reamping box|reamp di'
  ),
  box(
    'reversed-di',
    'passive di used backwards|di used backwards|di reversed|di turned round|di wrong way round|di the wrong way round|passive di reversed|passive di in reverse|di in reverse|passive di turned round|passive di wrong way round|transformer di backwards|transformer di used backwards|backwards passive di|reversed passive di|reversed di|reversed box|di backwards|passive di backwards|backwards di|reverse di'
  ),
  box(
    'inline-pad',
    'inline pad|in line pad|xlr pad|barrel pad|inline attenuator|attenuator|in line attenuator|pad barrel'
  ),
  box(
    'converter-up',
    'level converter|matching converter|-10 to +4 converter|-10 to +4|10 to 4 converter|consumer to pro converter|unbalanced to balanced converter|up converter|match box|line level converter|-10 +4 converter|level converter up|rca to xlr converter|consumer to pro|converter to pro'
  ),
  box(
    'converter-down',
    '+4 to -10 converter|+4 to -10|4 to 10 converter|pro to consumer converter|balanced to unbalanced converter|down converter|level converter down|pro to consumer|+4 -10 converter'
  ),
  box(
    'small-mixer',
    'small mixer|little mixer|sub mixer|submixer|line mixer|keyboard mixer|keys mixer|drum mixer|drums mixer|percussion mixer|mini mixer|stage mixer|mixer|rack mixer|sidecar mixer|4 channel mixer|8 channel mixer'
  ),
  box('merge-box', 'merge box|summing box|stereo to mono summing box|summing lead'),
  box('balun', 'balun|rca balun'),
  box(
    'rca-isolator',
    'rca isolator|rca ground loop isolator|phono isolator|rca iso|rca transformer|rca isolation transformer|unbalanced isolator|unbalanced isolating transformer|hi fi isolator|hifi isolator|car audio isolator|rca hum eliminator|rca line isolator'
  ),
  box(
    'jack-to-xlr',
    'jack to xlr|jack to xlr lead|jack to xlr leads|jack to xlr cable|trs to xlr|trs to xlr lead|ts to xlr|jack xlr|trs xlr|jack to xlr adapter|trs to xlr leads|jack to xlr adapters|jack-xlr lead|trs xlr lead|klinke auf xlr|klinke xlr|xlr to trs lead from jack'
  ),
  box(
    'rca-to-jack',
    'rca to jack|rca to jack adapter|rca to jack adapters|rca to jack lead|rca to jack leads|phono to jack|rca to ts|phono plug to jack|rca jack adapter|rca to quarter inch|rca to trs|cinch auf klinke|rca jack lead|rca to 1 4'
  ),
  box(
    'rca-to-xlr',
    'rca to xlr|rca to xlr lead|rca to xlr leads|rca to xlr cable|rca to xlr adapter|phono to xlr|rca xlr|rca xlr lead|cinch auf xlr|phono plug to xlr|rca to xlr adapters'
  ),
  box(
    'xlr-to-rca-grounded',
    'xlr to rca|xlr to rca lead|xlr to rca leads|xlr to phono|xlr to phono plug|xlr to phono plug lead|xlr to phono plug leads|xlr to rca adapter|xlr rca|xlr auf cinch|xlr to phono leads'
  ),
  box(
    'xlr-to-jack',
    'xlr to jack|xlr to jack lead|xlr to jack leads|xlr to trs|xlr to trs lead|xlr to ts lead|xlr to jack cable|xlr to jack adapter|xlr jack lead|xlr auf klinke|xlr to quarter inch'
  ),
  box(
    'jack-to-rca',
    'jack to rca|jack to rca lead|jack to phono lead|ts to rca|jack to rca leads|jack to rca adapter|jack to phono'
  ),
  box('jack-to-mini', 'jack to minijack|jack to minijack adapter|jack to 3.5|jack to 3.5 mm|jack to 3.5 adapter'),
  box('mini-to-jack', '3.5 to jack adapter|minijack to jack adapter|3.5 to 6.35 adapter|3.5 mm to jack adapter')
];
