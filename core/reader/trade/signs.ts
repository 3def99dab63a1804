/** How figures and signs are written: each is tried at a place of a text in lower case. */

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const at = (pattern: string): RegExp => new RegExp(pattern, 'iy');

export const LENGTH = at(
  String.raw`(${NUMBER})\s*(metres?|meters?|mtrs?|mètres?|metros?|metri|metern|m|cm|feet|foot|ft|['′])(?![\p{L}\d"])`.replace(
    String.raw`\p{L}`,
    'a-zµωäöü'
  )
);
export const OHM = at(
  String.raw`(${NUMBER})\s*(meg(?:a?ohms?)?|m\s?ohms?|mω|kohms?|kω|k|ohms?|ω)(?:\s*(?:ohms?|ω))?(?![a-z\d])`
);
export const BARE_M = at(String.raw`(\d{1,2})\s?(?:m|meg)\b(?!\s?(?:ω|ohm))`);
export const LEVEL = at(String.raw`[+\-−]?\s?${NUMBER}\s*db[uv]\b`);
export const PHANTOM = at(
  String.raw`(?:(?:keep|leave)\s+)?(?:(no|never|avoid|without|w\/o|kein|keine|ohne|sans|pas\s+(?:de\s+)?|sin|senza|zonder|geen|utan|ingen|uden|(?:(?:do(?:es)?|must|should|can)\s*n(?:ot|'?t)|never|not)(?:\s+(?:to\s+)?(?:send|use|turn\s+on|switch\s+on|put\s+on|apply|needs?|wants?|have|engage|give|require))?)\s+)?(?:\+?48\s*v(?:olts?)?|\+48|p48|48(?=\s+(?:is\s+)?(?:on|off)(?![a-z]))|(?:(?:ph|f)antom|pha?ntm|phtm)(?:[\s-]+power(?:ed)?|'d)?(?!\s+(?:power\s+)?(?:adapt[eo]r|module))|ph(?=\s+(?:on|off)\b))(?:\s+(?:for the \w+))?\b(?:\s*(?:(?:is|was|are|must|should|has|needs|to|be|stay|stays|remain|remains|kept|left)\s+)*(?:switched\s+|turned\s+|set\s+to\s+|left\s+|still\s+)?(on|off|no(?!\s)|missing|forgotten|disabled|not\s+(?:switched\s+|turned\s+)?(?:on|available|there|enabled|needed|required|wanted|used|necessary)))?(?![a-z])`
);
/** "12 V phantom", "phantom only 24 V": another voltage than 48. */
export const PHANTOM_VOLTS = at(
  String.raw`(?:only\s+)?(?!4[4-9]|5[0-2])(\d{1,2}(?:[.,]\d)?)\s*v(?:olts?)?\s+(?:of\s+)?phantom(?:\s+power)?(?:\s+on)?(?![a-z])|phantom(?:\s+power)?\s+(?:(?:of|at|is|gives|on|with|only|just)\s+)*(?!4[4-9]|5[0-2])(\d{1,2}(?:[.,]\d)?)\s*v(?:olts?)?(?![a-z\d])`
);
/** Phantom that comes neither from the input that a line ends in: from the other leg of a splitter, or a supply of its own. */
export const PHANTOM_ELSEWHERE = at(
  String.raw`(?:(?:whose|with|and)\s+)?(?:its\s+|the\s+)?(?:direct|other)\s+(?:leg|side|out(?:put)?|path|feed)\s+(?!unconnected|open|unused)(?:(?!\b(?:no|off|without|unconnected)\b)[a-z\s-])*?\b(?:with|which\s+supplies|that\s+supplies|supplies|supplying|which\s+provides|provides|providing|which\s+gives|gives|giving|has|which\s+has|sends|sending)\s+(?:the\s+)?(?:\+?48\s?v\s+)?(?:phantom(?:\s+power)?|\+?48\s?v)(?:\s+on)?(?!\s+off)|(?:\+?48\s?v\s+|phantom\s+)(?:power\s+)?(?:is\s+)?(?:supplied\s+|provided\s+|taken\s+|coming\s+|comes\s+|fed\s+)?(?:from|by|via)\s+(?:the\s+)?(?:direct|other|foh|front[\s-]of[\s-]house|monitor|main|recording|broadcast)(?:\s+(?:leg|side|desk|split|output|out|console|path|mixer|engineer))*|(?:external|inline|in-line|separate|own|stand-?alone|dedicated|battery)\s+phantom(?:\s+power)?\s+(?:supply|unit|box|psu|injector)|phantom(?:\s+power)?\s+(?:supply|unit|psu|injector)(?:\s+(?:before|ahead\s+of|in\s+front\s+of|upstream\s+of)\s+(?:the\s+)?(?:splitter|split|isolator|transformer))?`
);
/** "48" and no more, said of a microphone that wants it. */
export const BARE_48 = at(
  String.raw`48(?=\s*(?:[,;)]|$|\d+\s*(?:m|ft)\b|hpf|hp\b|lc\b|lo|sb|mc\b|ch\b|chan|snake|stage|mic\b))`
);
/** "+4" and "-10" of a line, without their unit. */
export const BARE_LEVEL = at(
  String.raw`(?:\+\s?4(?!(?<=\s4)\s+[a-z])|[-−]10)(?![\d.,]*\d|\s*(?:db|%|v\b|m\b|pad|hz|to\s*\+?4|[/-]))`
);
/** "amp stays off": an amplifier that nothing goes into. */
export const AMP_OFF = at(
  String.raw`(?:and\s+|\+\s*|with\s+)?(?:the\s+|his\s+|her\s+|own\s+)?(?:bass\s+|guitar\s+|gtr\s+)?amp(?:lifier)?\s+(?:(?:stays|is|kept|left|switched|turned|remains)\s+)*(?:off|muted|unused|not\s+used)(?![a-z])`
);
const CUT_WORD = String.raw`(?:hpf|hp(?=\d|\b)|lo[\s-]?cut|low[\s-]?cut|high[\s-]?pass(?:\s+filter)?|hi[\s-]?pass|lcf|lc(?=\d|\b)|lf\s?cut|bass (?:cut|roll[\s-]?off)|(?:low|lf) roll[\s-]?off|rumble filter|trittschall(?:filter)?|coupe[\s-]?bas|roll(?:ed|s)?[\s-]?off(?=\s*(?:at|@|below|under)?\s*\d{2,3}\s*(?:hz|$|[,;]))(?:\s*(?:below|under))?)`;
/** "80 Hz HPF". */
export const CUT_AT = at(String.raw`(\d{2,3})\s*hz[\s-]*${CUT_WORD}`);
/** "HPF 80": what is no frequency of a filter is a channel behind it. */
export const CUT = at(
  String.raw`${CUT_WORD}(?:\s*(?:on|at|@|:|=|filter))*(?:\s*((?:[2-9]\d|[1-4]\d\d)(?!\d|\s?[/&]\s?\d|\s?\+\s?(?!48)\d))\s*(?:hz\b)?)?`
);
/** A filter that is left out. */
export const CUT_OUT = at(
  String.raw`(?:hpf|lo[\s-]?cut|low[\s-]?cut|high[\s-]?pass(?:\s+filter)?|rumble filter)\s+(?:is\s+|switched\s+|left\s+)*(?:off|out|not\s+in)(?![a-z])`
);
export const INLINE = at(
  String.raw`(?:[-−]?(\d{2})\s*(?:db\s*)?)?in-?\s?line\s+(?:pad|attenuator)\s*[-−]?\s*(\d{2})?\s*(?:db\b)?`
);
export const PAD_OUT = at(
  String.raw`(?:[-−]?\d{2}\s*(?:db\s*)?)?pads?\s+(?:is\s+|are\s+|switched\s+)?(?:off|out|not\s+in)(?![a-z])`
);
export const CABINET = at(
  String.raw`(?:with\s+)?(?:its|the|an?)?\s*(?:speaker\s+)?(?:cabinet|cab|speaker|[124]x1[025])\s+(?:still\s+|also\s+)?(?:connected|plugged(?:\s+in)?|attached|in\s+parallel)|(?:with|and)\s+(?:its|the|his|her|an?)?\s*(?:cabinet|cab|[124]x1[025])\s+on(?![a-z])`
);
/** "speaker DI across the cab", "tapped off his cabinet": it stays plugged. */
export const CABINET_TAPPED = at(
  String.raw`(?:off|across|from|tapping|tapped\s+(?:off|from)|(?:in\s+)?parallel(?:ed)?\s+(?:to|with))\s+(?:the\s+|his\s+|her\s+|their\s+|its\s+|an?\s+)?(?:guitar\s+|gtr\s+|bass\s+|speaker\s+|[124]x1[025]\s+)?(?:\d{1,2}[\s-]*(?:ohms?|ω)\s+)?(?:cabinet|cab|speaker)(?![a-z])(?!\s+(?:out|line|socket|jack|level|emul|sim))`
);
/** A DI that is made for a loudspeaker's level. */
export const SPEAKER_DI = /\b(?:speaker|spkr?|spk)[\s-]*(?:level|lvl)?[\s-]*di\b/;
export const PAD = at(
  String.raw`(?:[-−]?(\d{2})\s*(?:db\s*)?(?:speaker\s+)?pads?\b|(?:speaker(?:\s+(?:in(?:put)?|level))?\s+)?pad(?:ded|s)?(?![a-z])(?:\s*(?:on|in|at|=|:))?\s*[-−]?\s*(\d{2})?(?!\d)\s*(?:db\b)?)`
);
/** A ground that is not lifted. */
export const JOINED = at(
  String.raw`(?:with\s+)?(?:ground|gnd|earth)\s+(?:lift\s+)?(?:is\s+|switch\s+|set\s+to\s+)*(?:joined|connected|linked|closed|through|not\s+(?:lifted|open)|unlifted)(?![a-z])|(?:no|without(?:\s+an?)?)\s+(?:ground|gnd|earth)\s+lift(?![a-z])`
);
export const LIFT = at(
  String.raw`(?:(?:gnd|ground|earth|grd)[\s-]*)?(?:lift(?:ed)?)\b(?:\s*(?:switch\s+)?(?:is\s+|set\s+to\s+)?(on|off|in|engaged|pressed|pushed|down|open(?:ed)?|closed|out))?|(?:gnd|ground)\s+(?:off|open)\b`
);
export const POLARITY = at(
  String.raw`(?:pol(?:arity)?|phase)\.?[\s-]*(?:inv\w*|rev\w*|flip\w*|swap\w*|180)|(?:inv\w*|rev\w*|flip\w*)\s+(?:pol(?:arity)?|phase)\b|(?<=[,(;]\s{0,3})(?:phase|polarity)(?=\s*(?:[,;)]|$))|flip(?:ped)?(?![a-z])|inverted(?![a-z])|(?<=(?:btm|bottom|bot|\bb|dyn|under|cond)[\s,]{1,2})inv(?![a-z])|ø`
);
export const EARTH_GONE = at(
  String.raw`(?:(?:its|the|their)\s+)?(?:mains\s+|safety\s+|protective\s+)?(?:earth|ground)(?:ing)?\s+(?:pin|prong|wire|lug|contact|connection)?\s*(?:is\s+|has\s+been\s+|was\s+)?(?:cut(?:\s+off)?|snapped(?:\s+off)?|broken(?:\s+off)?|removed|missing|gone|taped(?:\s+(?:over|up|off))?|bent|defeated|disconnected|pulled|snipped|sawn\s+off)|(?:cut|broken|missing|taped|no)\s+(?:mains\s+|safety\s+|protective\s+)?(?:earth|ground)\s+(?:pin|prong|wire|connection)|(?:cheater|ground[\s-]*lift(?:ing|er)?|3[\s-]to[\s-]2|three[\s-]to[\s-]two(?:[\s-]pin)?|(?:two|2)[\s-]pin)\s+(?:mains\s+)?(?:plug\s+)?(?:adapt[eo]r)|(?:cheater|ground[\s-]*lift(?:ing|er)?)\s+plug`
);
/** What somebody has felt. */
export const SHOCK = at(
  String.raw`(?:(?:gets?|got|getting|feels?|felt|gives?|giving|is given|with)\s+)?(?:an?\s+|small\s+|slight\s+|electric\s+|mild\s+)*(?:electric\s+)?(?:shocks?|tingl(?:e|es|ing)|prickl(?:e|es|ing)|zaps?|zapped)(?:\s+(?:on|at|in|to)\s+(?:his|her|the|their|my)\s+(?:lips?|hands?|fingers?))?(?![a-z])`
);
export const BATTERY_LOW = at(
  String.raw`(?:(?:whose|its|the|with an?|on an?)\s+)?(?:\d+(?:[.,]\d+)?\s*v(?:olts?)?\s+)?(?:batter(?:y|ies)|cell)\s+(?:is\s+|are\s+|has\s+|was\s+|nearly\s+|almost\s+|run(?:ning)?\s+)*(?:down(?:\s+to\s+\d+(?:[.,]\d+)?\s*v(?:olts?)?)?|low|flat|dead|dying|weak|tired|old|empty|at\s+\d(?:[.,]\d+)?\s*v(?:olts?)?)|(?:on|by|with)\s+(?:an?\s+|its\s+|the\s+)?(?:batter(?:y|ies)\s*(?:at\s+|of\s+|\(\s*)?[3-8](?:[.,]\d+)?\s*v(?:olts?)?(?![a-z])\)?|[3-8](?:[.,]\d+)?\s*v(?:olts?)?\s+batter(?:y|ies))|(?:low|flat|dying|weak|dead|tired|nearly dead|old|empty)\s+(?:(?:9|nine)[\s-]*v(?:olts?)?\s+)?batter(?:y|ies)`
);
/** What a DI or a source runs on, where it is not the battery's state that is told. */
export const ON_BATTERY = at(
  String.raw`(?<=[,(]\s?)batter(?:y|ies)(?=\s?[,)])|(?:(?:running|run|runs|powered|works?|working|fed)\s+)?(?:on|by|from|off|with)\s+(?:its|his|her|the|an?|own|internal|fresh|new|good|full|9\s*v(?:olt)?|\s)*\bbatter(?:y|ies)(?:\s+power(?:ed)?)?(?!\s+(?:low|flat|dead|dying|nearly|down|is|at|preamp|powered preamp))|(?:fresh|own|internal|new)\s+batter(?:y|ies)(?:\s+(?:fitted|in))?|batter(?:y|ies)[\s-](?:powered|operated|fed|run|driven|power)(?!\s+preamp)|batt?s?(?:[\s-](?:powered|operated|fed|run|driven))?(?![a-z]|\s+(?:low|flat|dead))`
);
/** How it is plugged into the wall. */
export const ON_MAINS = at(
  String.raw`(?:(?:with|on|from|by|via|its|an?|the|own)\s+)*(?:(earthed|grounded|three[\s-]pin|3[\s-]pin)|(two[\s-]pin|2[\s-]pin|unearthed|double[\s-]insulated|wall[\s-]?wart))(?!\s*(?:mains\s+)?(?:plug\s+)?adapt[eo]r|\s+(?:xlr|jack|trs|rca|mini|lead)\b)\s*(?:mains\s+)?(?:plug|charger|supply|power\s+supply|psu|brick|cable|lead)?(?![a-z])`
);
/** A loudspeaker's amplifier with nothing plugged into it. */
export const NO_CABINET = at(
  String.raw`(?:no|without(?:\s+(?:an?|its|the))?|with\s+no)\s+(?:speaker\s+)?(?:cabinet|cab|speaker|load)(?:\s+(?:connected|plugged(?:\s+in)?|attached|on\s+it|at\s+all))?(?![a-z])|(?:speaker\s+)?(?:cabinet|cab|speaker)\s+(?:is\s+)?(?:un(?:plugged|connected)|disconnected|not\s+(?:connected|plugged(?:\s+in)?)|pulled(?:\s+out)?|removed|left\s+off)(?![a-z])|nothing\s+(?:on|in|plugged\s+into)\s+(?:the|its)\s+speaker\s+(?:out(?:put)?|socket|jack)`
);
/** "10 V peak to peak", "2 V rms", "775 mV". */
export const VOLTS = at(
  String.raw`(${NUMBER})\s*(mv|v|volts?|millivolts?)\s*(p-p|pp|peak[\s-]to[\s-]peak|pk-pk|pk\s*pk|rms|peak|pk)?(?![a-z\d\/])(?:\s*(full[\s-]scale|max(?:imum)?|fs\b|at full))?`
);
/** What has become of the third contact of an XLR. */
export const PIN_THREE = at(
  String.raw`(?:with\s+|and\s+)?(?:xlr\s+)?(?:pins?\s+(?:1\s*(?:and|\+|&|to)\s*3|3\s*(?:and|\+|&|to)\s*1)\s+(?:are\s+)?(?:joined|linked|tied|strapped|bridged|shorted|together)(?:\s+together)?(?![a-z\d])|pin\s?3\s+(?:is\s+|left\s+|was\s+|being\s+)*(?:(open|floating|lifted|unconnected|not\s+connected|disconnected|cut)|(?:grounded|earthed|to\s+ground|(?:tied|joined|shorted|strapped|linked|wired)\s+to\s+(?:ground|(?:the\s+)?sleeve|(?:the\s+)?shield|(?:pin\s+)?1)|to\s+(?:the\s+)?(?:sleeve|shield)|on\s+(?:the\s+)?sleeve|shorted))(?![a-z\d]))`
);
/** A lead one of whose contacts has gone: the cold one, or the shield. */
export const CONTACT_GONE = at(
  String.raw`(?:with\s+(?:its\s+|the\s+|an?\s+)?)?(?:(broken|open|dead|missing)\s+)?(?:xlr\s+)?(?:(pin\s?[23]|(?:hot|cold)(?:\s+(?:leg|pin|wire|core|contact))?)|(pin\s?1|(?:shield|screen)(?:\s+(?:wire|contact))?))\s*(?:is\s+|was\s+|has\s+|has\s+come\s+|come\s+)*(broken(?:\s+off)?|open|dead|off|gone|missing|floating|disconnected|not\s+connected|unconnected)?(?![a-z])`
);
/** A lead with its two signal contacts changed over. */
export const SWAPPED = at(
  String.raw`(?:(?:polarity|phase)[\s-]*)?(?:rev(?:ersed)?|inverted|swapped|crossed|flipped)\s+(?:polarity\s+|phase\s+)?(?:xlr\s+)?(?:mic\s+)?(?:lead|cable)(?![a-z])|(?:lead|cable)\s+(?:wired\s+)?(?:with\s+)?(?:pins?\s*)?(?:2\s*(?:and|&|\/|\+)\s*3|hot\s+and\s+cold)\s+(?:swapped|crossed|reversed)|(?:pins?\s*)?(?:2\s*(?:and|&|\/|\+)\s*3|hot\s+and\s+cold)\s+(?:swapped|crossed|reversed)`
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
  String.raw`${NUMBER}\s*(?:m|cm|metres?|meters?|ft|feet)\s+(?:away|off\s+axis|in\s+front|(?:from|off|over|above|under|behind)\s+(?:the\s+)?(?:\d+(?:st|nd|rd|th)\b|(?:sound\s?hole|fret|bridge|bell|strings?|cone|grille?|cab|cabinet|amp|mouth|head|snare|drum|lid|hammers|keys|body|neck|player|stage|bow)\b))|(?:at|from|about)\s+(?:about\s+|some\s+)?${NUMBER}\s*(?:m|cm|metres?|meters?|ft|feet)\b(?=\s*(?:,|away|averag|distance|\d{2,3}\s*db|from|in front))|(?:at|from)\s+(?:about\s+)?[0-3](?:[.,]\d+)?\s*(?:m|metres?|meters?)\s*$`
);
/** What a preamp is set to: no channel. */
export const GAIN = at(String.raw`gain\s+(?:of\s+|at\s+|set\s+to\s+)?\+?\d{1,2}(?:\s*db)?(?![\d.])`);
export const NOT = at(
  String.raw`(?:no|not|without|w\/o|minus|kein|keine|ohne|sans|senza|zonder|geen)\s+(?:an?\s+|any\s+|the\s+)?`
);
/** What is missed when it is not there; of anything else "no" is part of a name, or of a number. */
export const MISSED = new Set(['box', 'di', 'preamp', 'amp', 'pad', 'lift', 'source', 'cut']);
export const SIDES = at(
  String.raw`l\s*[\/+&-]\s*r\b|l\s+(?:and\s+)?r\b|lr\b|left\s*(?:\/|\+|-|and|&|et|und)?\s*right\b|links\s*(?:\/|\+|und|en)?\s*rechts\b|gauche\s*(?:\/|\+|et)?\s*droite\b|(?:g\s*\/\s*d|v\s*\/\s*h|i\s*\/\s*d|izq\.?\s*\/\s*der\.?|izquierda\s*(?:\/|\+|y)?\s*derecha|sinistra\s*(?:\/|\+|e)?\s*destra|sx\s*\/\s*dx)(?![\p{L}\d])`
);
export const TIMES = at(
  String.raw`(\d{1,2})\s?[x×](?!\d(?!\d{0,2}\s?(?:m|ft)\b)|lr)(?=$|[^a-z]|[a-z]{2})|[x×]\s?(\d{1,2})(?!\d|[.,]\d|\s*m\b)`
);
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
const NOT_UNIT = String.raw`(?![\d.,]*\d|\s*(?:m|cm|ft|feet|foot|'|metres?|meters?|mtrs?|k|meg|[km]?ohms?|db[uv]?|hz|v|x|mm|string)\b|['"]|-(?:type|style)\b|\s+(?:mics|microphones)\b)`;
export const CHANNELS = at(
  String.raw`\s*(?:no\.?|nr\.?|#|ch(?:annels?)?\.?|\.)?\s*(${ITEM})${NOT_UNIT}((?:(?!\s*\+\s?48\b|\s+-\d+\s*(?:db\s*)?pad)\s*(?:[\/+&,–-]|\b(?:and|to|thru|through|et|und|en|och|og|y|e|bis|a|al|tot|hasta|t\/m|till)\b)\s*${ITEM}${NOT_UNIT}|(?<=\b47)\s*\+\s?48\b)*)((?:\s+\d{1,3}${NOT_UNIT})*)`
);
export const LETTERED = at(String.raw`([a-d]\d{1,2}(?:\s*[\/+-]\s*[a-d]?\d{1,2})?)(?![a-z\d])`);
export const NEXT = at(String.raw`(\d{1,3})\s?[\/+]\s?(\d{1,3})${NOT_UNIT}`);
/** "3 DI 20-22" at the end of all that was typed, but for the phantom on them. */
export const RANGE = at(
  String.raw`\d{1,3}(?:\s?[-–]\s?|\s(?:a|bis|to|thru|tot|till|hasta)\s)\d{1,3}(?=\s*(?:(?:\+?48\s?v?|p48|(?:ph|f)antom)(?:\s+on)?)?\s*$)`
);
/** "…, 20-22, …", "four condensers 25-28 100 m multicore": in the middle, where nothing makes a measure of it. */
export const RANGE_WITHIN = at(
  String.raw`\d{1,3}\s?[-–]\s?\d{1,3}(?=\s*[,;()]|\s+${NUMBER}\s*(?:m|ft|feet|metres?|meters?)\b)`
);
/** "outs 1-2": which of its outputs. */
export const RANGE_OUT = at(String.raw`\d{1,2}\s?[-–]\s?\d{1,2}(?![\d.,]*\d|\s*(?:m|ft|v|k)\b)`);
/** What a number behind it is the number of. */
export const OUTPUT_WORD =
  /(?:^|\s)(?:outs?|outputs?|aux(?:es)?|sends?|bus(?:es)?|matrix|mtx|groups?|grps?|mix(?:es)?|return)$/i;
/** "toms 1-3": so many of them. */
export const UP_TO = at(
  String.raw`(?<=(?:s|vox|voc|vx|bv)\s)1\s?[-–]\s?([2-8])(?![\d.,]*\d|\s*(?:m|ft|v|k)\b)(?!\s*$)`
);
/** "tpt 1-3 dyn": so many of them, for what they are taken by stands behind. */
export const UP_TO_KIND = at(
  String.raw`1\s?[-–]\s?([2-8])(?=\s+(?:dyn|cond|ribbon|clip|lav|mics?\b|di'?s?\b|piezo|active|passive|radio|wireless|headset|rx\b|ldc|sdc))`
);
export const HASH = at(String.raw`#\s*(\d{1,3})(?:\s*[\/+-]\s*(\d{1,3}))?`);
export const LEADING =
  /^\s*(?:[#|]\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)\s*(?:[:.)](?=\s)|,(?=\s*[a-z])|\t|\s+(?:[-–—|]+|\/\/)(?=\s)|$)/i;
export const ROW = /^\s*(?:#\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)(?:\s*[:.)]\s|\s+(?![x×]|m\b|ft\b))/i;
export const BREAK =
  /(?:->|=>|<-|<=|[,;|>→(){}[\]:•·=]|[+&](?=\s)|(?<=\p{L})\+(?=\p{L})|\/|\s[-–—]\s|[-–—](?=\s)|!|\.(?=[\s,;)]|$)|\t)/uy;
/** Words that are written short with a point behind them, in the middle of something. */
export const SHORTENED =
  /\b(acc?|act|akt|akust|back|bal|cond|kond|dig|dyn|elec|elektr|ext|gtr|gt|int|kbd|keyb?|ld|pass?|perc|rhy|str|unbal|vox|voc)\.(?=\s+[a-z])/g;
