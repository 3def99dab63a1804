/** How figures and signs are written: each is tried at a place of a text in lower case. */

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const at = (pattern: string): RegExp => new RegExp(pattern, 'iy');

export const LENGTH = at(
  String.raw`(${NUMBER})\s*(metres?|meters?|mtrs?|mètres?|m|cm|feet|foot|ft|['′])(?![\p{L}\d"])`.replace(
    String.raw`\p{L}`,
    'a-zµωäöü'
  )
);
export const OHM = at(
  String.raw`(${NUMBER})\s*(meg(?:a?ohms?)?|m\s?ohms?|mω|kohms?|kω|k|ohms?|ω)(?:\s*(?:ohms?|ω))?(?![a-z\d])`
);
export const BARE_M = at(String.raw`(\d{1,2})(?:m|meg)\b`);
export const LEVEL = at(String.raw`[+\-−]?\s?${NUMBER}\s*db[uv]\b`);
export const PHANTOM = at(
  String.raw`(?:(no|without|w\/o)\s+)?(?:\+?48\s*v(?:olts?)?|\+48|p48|phantom(?:\s+power)?)(?:\s+(?:for the \w+))?\b(?:\s*(on|off|no))?(?![a-z])`
);
export const CUT = at(
  String.raw`(?:hpf|hp\b|lo-?cut|low[\s-]?cut|high[\s-]?pass(?:\s+filter)?|hi-?pass|lcf|lc\b|bass cut|rumble filter)(?:\s*(?:on|at|@|:|=|filter))*\s*(\d{2,3})?\s*(?:hz\b)?`
);
export const INLINE = at(
  String.raw`(?:[-−]?(\d{2})\s*(?:db\s*)?)?in-?\s?line\s+(?:pad|attenuator)\s*[-−]?\s*(\d{2})?\s*(?:db\b)?`
);
export const PAD_OUT = at(
  String.raw`(?:[-−]?\d{2}\s*(?:db\s*)?)?pads?\s+(?:is\s+|are\s+|switched\s+)?(?:off|out|not\s+in)(?![a-z])`
);
export const CABINET = at(
  String.raw`(?:with\s+)?(?:its|the|an?)?\s*(?:speaker\s+)?(?:cabinet|cab|speaker|[124]x1[025])\s+(?:still\s+|also\s+)?(?:connected|plugged(?:\s+in)?|attached|in\s+parallel)`
);
export const PAD = at(
  String.raw`(?:[-−]?(\d{2})\s*(?:db\s*)?(?:speaker\s+)?pads?\b|(?:speaker(?:\s+(?:in(?:put)?|level))?\s+)?pad(?:ded|s)?(?![a-z])(?:\s*(?:on|in|at|=|:))?\s*[-−]?\s*(\d{2})?(?!\d)\s*(?:db\b)?)`
);
export const LIFT = at(
  String.raw`(?:(?:gnd|ground|earth|grd)[\s-]*)?(?:lift(?:ed)?)\b(?:\s*(?:switch\s+)?(?:is\s+|set\s+to\s+)?(on|off|in|engaged|open(?:ed)?|closed|out))?|(?:gnd|ground)\s+(?:off|open)\b`
);
export const POLARITY = at(
  String.raw`(?:pol(?:arity)?|phase)\.?[\s-]*(?:inv\w*|rev\w*|flip\w*|swap\w*|180)|(?:inv\w*|rev\w*|flip\w*)\s+(?:pol(?:arity)?|phase)\b|ø`
);
export const EARTH_GONE = at(
  String.raw`(?:(?:its|the|their)\s+)?(?:mains\s+|safety\s+|protective\s+)?(?:earth|ground)(?:ing)?\s+(?:pin|prong|wire|lug|contact|connection)?\s*(?:is\s+|has\s+been\s+|was\s+)?(?:cut(?:\s+off)?|snapped(?:\s+off)?|broken(?:\s+off)?|removed|missing|gone|taped(?:\s+(?:over|up|off))?|bent|defeated|disconnected|pulled|snipped|sawn\s+off)|(?:cut|broken|missing|taped|no)\s+(?:mains\s+|safety\s+|protective\s+)?(?:earth|ground)\s+(?:pin|prong|wire|connection)|(?:cheater|ground[\s-]*lift(?:ing|er)?|3[\s-]to[\s-]2|three[\s-]to[\s-]two(?:[\s-]pin)?|(?:two|2)[\s-]pin)\s+(?:mains\s+)?(?:plug\s+)?(?:adapt[eo]r)|(?:cheater|ground[\s-]*lift(?:ing|er)?)\s+plug`
);
/** What somebody has felt. */
export const SHOCK = at(
  String.raw`(?:(?:gets?|got|getting|feels?|felt|gives?|giving|is given|with)\s+)?(?:an?\s+|small\s+|slight\s+|electric\s+|mild\s+)*(?:electric\s+)?(?:shocks?|tingl(?:e|es|ing)|prickl(?:e|es|ing)|zaps?|zapped)(?:\s+(?:on|at|in|to)\s+(?:his|her|the|their|my)\s+(?:lips?|hands?|fingers?))?(?![a-z])`
);
export const BATTERY_LOW = at(
  String.raw`(?:(?:whose|its|the|with an?|on an?)\s+)?(?:\d+(?:[.,]\d+)?\s*v(?:olts?)?\s+)?(?:batter(?:y|ies)|cell)\s+(?:is\s+|are\s+|has\s+|was\s+|nearly\s+|almost\s+|run(?:ning)?\s+)*(?:down(?:\s+to\s+\d+(?:[.,]\d+)?\s*v(?:olts?)?)?|low|flat|dead|dying|weak|tired|old|empty|at\s+\d(?:[.,]\d+)?\s*v(?:olts?)?)|(?:low|flat|dying|weak|dead|tired|nearly dead|old|empty)\s+(?:(?:9|nine)[\s-]*v(?:olts?)?\s+)?batter(?:y|ies)`
);
export const THROUGH = at(
  String.raw`(?:switched\s+|set\s+)?(?:to|in|on)\s+(?:through|thru|bypass)(?:\s+mode)?|(?:through|thru)\s+mode`
);
export const ELSEWHERE = at(
  String.raw`(?:(?:plugged|fed|powered|running|is)\s+)?(?:in(?:to)?|on|from|off|at)?\s*(?:an?)?other\s+(?:mains\s+|power\s+|wall\s+)?(?:circuits?|sockets?|outlets?|suppl(?:y|ies)|phases?|breakers?|distro|fuse)|(?:on\s+)?(?:a\s+)?(?:different|separate)\s+(?:mains\s+|power\s+|wall\s+)?(?:circuits?|sockets?|outlets?|suppl(?:y|ies)|phases?|breakers?|distro|fuse)`
);
export const FARAD = at(
  String.raw`(${NUMBER})\s*(pf|nf|picofarads?|nanofarads?)(?:\s*(\/|per|a|each)\s*(?:m\b|metres?|meters?))?`
);
/** "400 W into 8 ohm", "50 watts". */
export const WATT = at(
  String.raw`(${NUMBER})[\s-]*(?:w|watts?)(?:\s+rms)?(?![a-z\d\/])(?:\s+(?:into|in|at|@|on|to)\s+(?:an?\s+)?(${NUMBER})[\s-]*(?:ohms?|ω)(?![a-z]))?`
);
export const SPL = at(String.raw`(\d{2,3})\s*db\s*\(?a?\)?\s*spl|(\d{2,3})\s*dbspl`);
export const SENSITIVITY = at(String.raw`(${NUMBER})\s*mv\s*(?:\/|per|a)\s*pa(?:scal)?\b`);
/** How far a microphone stands away is no length of cable. */
export const DISTANCE = at(
  String.raw`(?:at|from|about)\s+(?:about\s+|some\s+)?${NUMBER}\s*(?:m|cm|metres?|meters?|ft|feet)\b(?=\s*(?:,|away|averag|distance|\d{2,3}\s*db|from|in front))`
);
export const NOT = at(String.raw`(?:no|without|w\/o|minus)\s+(?:an?\s+|any\s+|the\s+)?`);
/** What is missed when it is not there; of anything else "no" is part of a name, or of a number. */
export const MISSED = new Set(['box', 'di', 'preamp', 'amp', 'pad', 'lift', 'source']);
export const SIDES = at(String.raw`l\s*[\/+&-]\s*r\b|l\s+r\b(?!\s*only)|left\s*(?:\/|\+|and|&)\s*right\b`);
export const TIMES = at(String.raw`(\d{1,2})\s?[x×](?![a-z\d])|[x×]\s?(\d{1,2})(?![\d.,]|\s*m\b)`);
export const RATIO = at(String.raw`\d{1,2}:\d{1,2}(?!\d)`);
export const UP = at(
  String.raw`-?10\s*(?:dbv)?\s*(?:to|->|>|\/)\s*\+?4\s*(?:dbu)?(?:\s+(?:converter|box|interface|amp))?`
);
export const DOWN = at(
  String.raw`\+?4\s*(?:dbu)?\s*(?:to|->|>|\/)\s*-10\s*(?:dbv)?(?:\s+(?:converter|box|interface|amp))?`
);
export const DB = at(String.raw`[+\-−]?\s?(\d{1,2})\s*db\b`);
export const FIVE = at(String.raw`(?:[456]|four|five|six)[\s-]?str(?:ing)?s?\b`);
export const JACK = at(String.raw`1\/4(?:["”]|\s*inch)?|6[.,]35?\s*(?:mm)?(?![\d]|\s*m\b)`);
export const MINI = at(String.raw`3[.,]5\s*(?:mm)?(?!\d|\s*(?:m|ft|feet|metres?|meters?)\b)`);
const ITEM = String.raw`[a-d]?\d{1,3}`;
const NOT_UNIT = String.raw`(?![\d.,]*\d|\s*(?:m|cm|ft|feet|foot|'|metres?|meters?|mtrs?|k|meg|[km]?ohms?|db[uv]?|hz|v|x|mm|string)\b|['"])`;
export const CHANNELS = at(
  String.raw`\s*(?:no\.?|nr\.?|#|ch(?:annels?)?\.?|\.)?\s*(${ITEM})${NOT_UNIT}((?:\s*(?:[\/+&,–-]|\band\b|\bto\b)\s*${ITEM}${NOT_UNIT})*)((?:\s+\d{1,3}${NOT_UNIT})*)`
);
export const LETTERED = at(String.raw`([a-d]\d{1,2}(?:\s*[\/+-]\s*[a-d]?\d{1,2})?)(?![a-z\d])`);
export const NEXT = at(String.raw`(\d{1,3})\s?[\/+]\s?(\d{1,3})${NOT_UNIT}`);
/** "3 DI 20-22" at the end of all that was typed. */
export const RANGE = at(String.raw`\d{1,3}\s?[-–]\s?\d{1,3}(?=\s*$)`);
export const HASH = at(String.raw`#\s*(\d{1,3})(?:\s*[\/+-]\s*(\d{1,3}))?`);
export const LEADING = /^\s*(?:#\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)\s*(?:[:.)](?=\s)|\t|$)/i;
export const ROW = /^\s*(?:#\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)(?:\s*[:.)]\s|\s+(?![x×]|m\b|ft\b))/i;
export const BREAK = /(?:->|=>|<-|<=|[,;|>→(){}[\]:•·=]|[+&](?=\s)|\/|\s[-–—]\s|[-–—](?=\s)|!|\.(?=\s|$)|\t)/y;
