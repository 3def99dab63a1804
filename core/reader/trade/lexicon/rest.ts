import { cable, input, type Row } from './sense';

/** Where it goes, by which cable, how many there are, and the words that join all that. */
export const REST: readonly Row[] = [
  // Ends
  input(
    'mic-in',
    'entree micro|entrada de micro|entrada micro|mic eingang|ingresso mic|ingresso microfonico|ingresso micro|camera xlr in|camcorder xlr in|ha|head amp|head amps|ha in|mic amp in|mic in|mic ins|mic input|mic inputs|mic pre|mic pres|mic preamp|mic preamps|micpre|mic pre in|microphone input|microphone in|microphone preamp|preamp in|mic pre amp|desk mic in|foh desk mic in|interface mic in|interface mic|interface mic pre|desk input|mic amp|mikrofoneingang|mic channel|desk mic input|mic level in|pre'
  ),
  input(
    'mic-in',
    'sb|on stage box|at stage box|stage box|stagebox|stgbox|stg box|stbx|sbx|s box|snake|snk|multi|multicore|mc|multicore box|snake box|stage rack|stage box input|boitier de scene|boite de scene|boitier|stage snake|sub snake|drop snake|subsnake|wall panel|wall box|wallbox|wall plate|floor box|floor pocket|stage pocket|floor plate|floorbox|stageboks|snake head|multicore input|multi core|sb a|sb b|satellite stage box|stage input|stage in|caja de escenario|cajetin|cajetin de escenario|ciabatta|multipaar|multipar|manguera|patch de scene|multipaire|stagebox a|stagebox b|stage left box|stage right box|drop box|dropbox|drop|floor pocket|floor trap|dip|dip trap|loom|stage multi|multi box|tail|stage plate|wall plate|stage patch|mulitcore'
  ),
  input(
    'line-in',
    'headphone amp|headphones amp|headphone amplifier|headphone amp in|headphone amp input|hp amp|entree ligne|entrees ligne|entrada de linea|entrada linea|line eingang|lineeingang|ingresso linea|ingresso di linea|lijningang|camera xlr in set to line|camcorder xlr in set to line|xlr in set to line|unbalanced line input|unbalanced line in|unbalanced line inputs|balanced line input|balanced line in|line in|line ins|matrix line|matrix line in|matrix in|matrix ins|matrix input|line input|line inputs|linein|pro line in|professional line in|pro line input|desk line in|interface line in|line level in|line level input|line-in|truck line in|monitor line in|powered monitors line in|balanced line in|line channel|stereo line in|mixer jack in|mixer jack input|mixer line in|mixer line input|mixer channel in|desk jack input|desk jack in|line return|tape return|recorder line in'
  ),
  input(
    'combo-in',
    'combo in|combo|combo input|combi in|combi|combo jack|combi input|interface combo in|xlr combo in|combo socket|combi socket'
  ),
  input(
    'instrument-in',
    'hi z|hiz|hi z in|hi z input|hiz in|high z in|high z input|high impedance input|high impedance in|inst in|instrument in|instrument input|inst input|interface hi z|interface hi z in|interface instrument in|instrument input on interface|hi z instrument input|hi z channel|guitar input|hi-z in'
  ),
  input(
    'consumer-in',
    'rca in|rca ins|rca input|rca inputs|rca in of hi fi amp|rca in of hifi amp|hi fi amp rca in|hi fi amp|hifi amp|hi fi|hifi|domestic amp|rca ins of domestic amp|stereo amp rca in|consumer input|home amp|living room amp|tape in|cinch eingang|phono plug in'
  ),
  input(
    'aux-in',
    'aux in|aux input|aux ins|aux in of powered speaker|aux in of monitor controller|minijack in|3.5 in|3.5 mm in|aux|minijack input|3.5 input'
  ),
  input(
    'phono-in',
    'phono in|phono input|phono ins|phono in of mixer|phono in of dj mixer|turntable input|phono channel'
  ),
  input(
    'camera-in',
    'minijack mic in|3.5 mm mic in|3.5 mic in|laptop minijack mic in|laptop 3.5 mic in|laptop 3.5 mm mic in|pc mic in|pc minijack mic in|camera minijack in|camera a mic in|camera b mic in|camera c mic in|cam a mic in|cam b mic in|camera minijack mic in|camera minijack microphone in|camera 3.5 mm in|camera 3.5 mic in|laptop mic in|laptop stereo mic in|laptop microphone in|computer mic in|phone mic in|tablet mic in|minijack in of a laptop|minijack in of the laptop|stereo minijack in of a laptop|mic in of a laptop|minijack in of a camera|laptop in|laptop minijack in|pocket recorder minijack in|camera microphone input|camera microphone in|camera microphone|camera mic|camcorder mic in|camcorder microphone input|camera|camera in|camera mic in|camera mic input|camcorder|cam in|camera audio in|camera input|dslr|video camera'
  ),
  input(
    'recorder-in',
    'recorder|rec in|rec ins|rec inputs|recorder in|recorder ins|recorder input|multitrack|multitrack recorder|field recorder|recorder line|field recorder line in|field recorder in|multitrack line in|recorder line ins|recording interface in|stereo recorder|recorder inputs|audio recorder'
  ),
  input(
    'power-amp-in',
    '100 v line amplifier input|100 v line amplifier|100 v line amp|100 v amp|100 v amp in|100 v amp input|100 v amp line in|100 v amplifier|100 v amplifier input|100v line amplifier input|100v line amplifier|100v line amp|100v amp|100v amp in|100v amp input|100v amp line in|100v amplifier|100v amplifier input|70v amp|70 v amp|70v amplifier|70 v amplifier|installation amp|installation amplifier|paging amp|paging amplifier|zone amp|zone amplifier|drum fill amp|side fill amp|sidefill amp|fill amp|wedge amp|monitor amp|power amp in|power amp input|power amp inputs|poweramp in|amp rack in|power amp ins|power amplifier input|to power amp|powered amp in|zone amp|pa amp in|100 v amp in'
  ),
  input(
    'insert-return',
    'insert return|insert|insert rtn|insert ret|insert in|channel insert|desk insert|insert point'
  ),
  input(
    'loop-amp-in',
    'loop amp|hearing loop|listening loop|assistive listening|assistive listening loop|assistive listening system|hearing loop amp|induction loop amp|loop amplifier|induction loop|hearing loop amplifier|loop amp in|loop driver|hearing loop driver|t loop amp|loop amp input|hearing loop input'
  ),
  input(
    'iem-sender-in',
    'iem sender|iem transmitter|iem transmitter in|iem tx|in ear sender|in ear transmitter|iem pack in|iem|iem rack|iems|in ears|in ear|iem in|ear sender|iem send|tx rack|iem tx rack|in ear rack|ears rack|ear tx|iem packs|ear packs|in ears send|in ears tx|in ear tx|ears tx'
  ),
  input(
    'beltpack-in',
    'bodypack|body pack|beltpack|belt pack|beltpack transmitter|wireless bodypack|wireless beltpack|transmitter pack|bodypack transmitter|pack|tx pack|radio pack|wireless transmitter|taschensender|belt pack transmitter|transmitter|wireless pack|instrument transmitter'
  ),
  input(
    'speaker-in',
    'drum fill|drumfill|delay speaker|delay speakers|delay stack|delay stacks|delay tower|delay towers|active top|active tops|powered top|powered tops|powered speaker|active speaker|speakers active|speaker active|active speakers|powered speakers|wedge active|active wedges|powered monitor|powered monitors|powered wedge|active monitor|active monitors|active wedge|powered sub|active sub|keyboard amp|keys amp|acoustic amp|self powered speaker|studio monitor|studio monitors'
  ),
  [
    { is: 'amp', model: 'cabinet' },
    'passive wedge|passive speaker|passive speakers|passive monitor|passive monitor speakers|passive monitors|wedge|wedges|passive cab|passive cabinet|speaker|speakers|loudspeaker|loudspeakers|cabinet|cab|cabs|speaker cab|speaker cabinet|passive sub|monitor speakers|passive speaker under the set|4x12|2x12|1x12|guitar cab|gtr cab|bass cab|passive loudspeaker|lautsprecher'
  ],
  [
    { is: 'amp', model: 'amp-in' },
    'gitaarversterker|gitarrenverstarker|ampli guitare|ampli|guitar amp|guitar amp in|gtr amp|ampd|amped|gtr amp in|amp|amp in|amp input|bass amp|bass amp in|bass rig|guitar combo|combo amp|guitar rig|backline amp|amplifier|guitar head|bass head|bass combo|amp head|verstarker|amp front|front of amp|combo amp in|pedal in|pedal input|pedalboard in|pedalboard input|fx pedal in|effects pedal in|effect pedal in|pedals in|guitar pedal in|guitar pedal input|guitar combo in|stage amp|amp on stage|backline amp|bass cab amp|amp onstage|players amp|own amp|his amp|her amp|their amp|bass stack|half stack|full stack|stack'
  ],
  // Cables and plugs
  cable(
    'instrument',
    'jack|jack lead|jack cable|ts|ts lead|ts cable|instrument lead|instrument cable|guitar lead|guitar cable|klinke|klinkenkabel|quarter inch|quarter inch lead|1 4|1 4 inch|jack jack|mono jack|6.35|6.3|patch lead|patch cable|jackkabel|telekabel|telejack|jack ts|lead from guitar|gtr lead|twin jack|jacks|ts leads'
  ),
  cable(
    'mic',
    'stereo jack lead|stereo jack cable|stereo jack|xlr|xlr cable|xlr lead|mic cable|mic lead|microphone cable|xlr m f|xlr mf|m f|balanced cable|balanced lead|trs|trs lead|trs cable|xlr xlr|kabel xlr|xlrs|balanced jack|trs jack'
  ),
  cable('star-quad', 'star quad|starquad|quad cable'),
  cable(
    'rca',
    'rca|rca lead|rca cable|phono plug|phono plugs|phono lead|cinch|rca plugs|phonos|cinchkabel|rca leads|rcas'
  ),
  cable(
    'mini',
    'xlr to minijack|3.5 mm stereo to mono jack|3.5 stereo to mono jack|3.5 mm stereo to mono jack lead|3.5 stereo to mono jack lead|stereo minijack to mono jack|stereo minijack to mono jack lead|3.5 mm to mono jack|minijack to mono jack|minijack to mono jack lead|minijack to jack|3.5 to jack|3.5 mm to jack|minijack to jack lead|xlr to minijack lead|xlr to 3.5|xlr to 3.5 lead|xlr to mini jack|minijack to xlr|stereo minijack to xlr|stereo minijack to xlr cable|stereo minijack to xlr lead|stereo minijack to one xlr|minijack to one xlr|minijack to single xlr|minijack to xlr lead|minijack to xlr cable|rca to minijack|rca to minijack lead|rca to 3.5|minijack to rca|3.5 to rca|minijack to rca lead|minijack to rca cable|minijack to two rca|minijack to two rca lead|minijack to twin rca|minijack to dual rca|minijack to 2 rca|3.5 to two rca|3.5 mm to two rca|3.5 to 2 rca|stereo minijack to two rca|stereo minijack to rca|minijack to phono lead|minijack to two phono|minijack to stereo jack|minijack to stereo jack lead|minijack to trs|minijack to trs lead|3.5 to trs|3.5 trs to 6.35 trs|stereo minijack to stereo jack|stereo minijack to two mono jacks|minijack to two jacks|minijack to two mono jacks|minijack to twin jacks|stereo minijack to two jacks|3.5 to two jacks|3.5 mm to two jacks|minijack to dual jack|minijack to two xlr|3.5 to two xlr|minijack to twin xlr|minijack|mini jack|3.5|3.5 mm|3.5mm|3.5 ts|3.5 trs|3.5 mm jack|minijack lead|stereo minijack|stereo minijack lead|mini jack lead|3.5 to twin jack|3.5 to twin jack lead|minijack to twin jack|minijack to twin jack lead|klinke 3.5|jack 3.5|3.5 jack|minijack to 2 jacks|3.5 stereo|small jack|mini klinke|miniklinke|minijack cable|3.5 mm stereo|stereo lead|y lead minijack'
  ),
  cable(
    'speaker',
    'bell wire|twin bell wire|twin flex|zip cord|twin core|speaker cable|speaker lead|speaker wire|speaker line|lautsprecherkabel|loudspeaker cable|speaker cables'
  ),
  // Sides and counts
  [
    { is: 'sides' },
    'stereo|pair|stereo pair|estereo|en stereo|stereofonico|in stereo|left and right|left right|matched pair|spaced pair|xy pair|ortf pair|xy|ortf'
  ],
  [
    { is: 'mono' },
    'left side|right side|left output|right output|left line output|right line output|left out|right out|left channel|right channel|left leg|right leg|left hand output|right hand output|one side|one channel|mono|single|left only|l only|right only|r only|mono sum|mono only|summed|summed to mono|sum to mono|summed mono|sum mono|mono summed|summing to mono'
  ],
  [{ is: 'click' }, '+ click|+ clk|and click|plus click|plus clk|& click|& clk'],
  [
    { is: 'channel' },
    'ch|chan|channel|chnl|chs|chans|channels|kanal|kanaal|canal|ch no|channel no|inputs|input|in|desk channel|desk ch|desk channels|kan|canale|canali|voie|voies|kanaal nr|canales|chn|cnl'
  ],
  [{ is: 'count', count: 2 }, 'two|zwei|twee|due|dois|duas|deux|dos|tva|both|twin|couple of|2 off|duo'],
  [{ is: 'count', count: 3 }, 'three|drei|drie|tre|tres|trois|trio|3 off|lcr|l c r'],
  [{ is: 'count', count: 4 }, 'four|vier|quatre|quattro|fyra|quartet|4 off'],
  [{ is: 'count', count: 5 }, 'five'],
  [{ is: 'count', count: 6 }, 'six'],
  // Qualities
  [
    { is: 'quality', quality: 'active' },
    'active|aktiv|actif|actieve|act|battery powered preamp|attiva|attivo|activa|activo|aktive|aktiver|aktives|active electronics on'
  ],
  [
    { is: 'quality', quality: 'passive' },
    'passive|passiv|passif|passieve|pass|pas|passiva|passivo|pasiva|pasivo|passiver|passives'
  ],
  [
    { is: 'quality', quality: 'balanced' },
    'balanced|bal|electronically balanced|electronically balanced output|electronically balanced outputs|servo balanced output|balanced out|balanced outs|balanced xlr out|balanced xlr outs|trs balanced outs|symmetrical|balanced output|impedance balanced|balanced outputs'
  ],
  [{ is: 'mode', mode: 'active' }, 'active mode|in active mode|mode active|switched active'],
  [{ is: 'mode', mode: 'passive' }, 'passive mode|in passive mode|mode passive|switched passive'],
  [
    { is: 'topology', topology: 'transformer' },
    'transformer output|transformer balanced output|transformer coupled output|transformer balanced|transformer isolated output stage|output transformer'
  ],
  [
    { is: 'topology', topology: 'cross-coupled' },
    'cross coupled output|cross coupled|cross coupled balanced output|servo balanced output|servo balanced|floating balanced output'
  ],
  // Stands and notes
  [
    { is: 'note' },
    'short boom|tall boom|boom|boom stand|short|tall|tall stand|short stand|straight|straight stand|round base|round base stand|round base straight|clip|no stand|stand|no clip|small boom|big boom|mini boom|table stand|desk stand|low boom|high boom|low stand|sandbag|fixed|spare|drum clip|claw|clamp|rim clip|galgen|gr. stativ|kl. stativ|stativ|own stand|rim mount|handheld|h h|stereo bar|bar|mic bar|on a bar|control room|at the desk|house left|house right|runner|stage left|stage right|sr|sl|usl|usr|usc|dsl|dsr|dsc|msl|msr|csl|csr|us|ds|ours|theirs|house|provided|own|we bring|festival|local|backline'
  ],
  // What only joins the others together
  [
    { is: 'filler' },
    'stk|stuck|mikrofoner|phantom module|belt pack preamp|beltpack preamp|belt pack pre|db25|db25 loom|d sub|dsub|hypercardioid|supercardioid|cardioid|hyper|figure of 8|figure of eight|figure 8|fig 8|before|ahead of|not in pa|not in the pa|off axis|share|shares|sharing|shared|iso booth|isolation booth|hardware|overhead projector|internal|buzzes|buzzing|hums|same player|on axis|direct leg of a splitter|direct leg of the splitter|direct side of a splitter|direct side of the splitter|direct output of a splitter|direct output of the splitter|direct leg of the split|direct side of the split|direct split|direct leg|direct side|straight to|power module|xlr power module|phantom power module|phantom adapter|phantom adaptor|phantom power adapter|phantom power adaptor|xlr phantom adapter|true bypass|load mode|in load mode|in parallel|parallel|paralleled|without trim|no trim|max|maximum|too|as well|also|dongle|set|set to|for recording|recording|recorded|across|away|straight in|hard wired|hardwired|hung|hanging|flown|suspended|volume pedal|vol pedal|compressor pedal|comp pedal|compression pedal|overdrive pedal|drive pedal|distortion pedal|fuzz pedal|boost pedal|wah pedal|eq pedal|tremolo pedal|chorus pedal|delay pedal|reverb pedal|expression pedal|effects pedal|octave pedal|in foh rack|in the foh rack|in rack|in the rack|in a rack|foh rack|cord|cords|curly|coiled|curly cable|coiled cable|jacked|please|straight out|straight from|pedals|fx pedals|effect pedals|stomp boxes|need|needs|get|got|want|wants|would like|has to|have to|must|player|players|any problem|by mistake|no idea|if|own|combined|needed|plus|both on|both on the|both of them|both devices|both ends|both units|both fed|both powered|both plugged|was|were|had|been|made|so|but|because|tapped|battery|batteries|its own|one|bridged|bridge mode|in bridge mode|bridged mode|bridged mono|bridge mono|fine|good|okay|tuner|tuner pedal|two pin|2 pin|three pin|3 pin|two pin charger|half volume|half|domestic|fresh|fresh battery|fresh batteries|own battery|its battery|running|running on|charger|its charger|full volume|full|volume|side|connected|unconnected|disconnected|same mains socket|same mains circuit|same circuit|same socket|same outlet|same mains|mains plug|earthed mains plug|with earthed mains plug|average|averaging|switched|being|while live|being patched|while|player|singing|front of house desk|front of house|unbalanced|metal|touching|maximum gain|maximum|switched to mic level|mic level|line level|wired|tip hot|ring cold|tip hot ring cold|whose|which|only one|and|then|into|to|with|w|a|an|the|of|from|via|through|over|on|off|off the|for|per|each|at|by|is|goes|it|its|our|my|go|straight|straight into|direct|directly|out|outs|output|outputs|pickup|pickups|pick up|pu|pup|pups|plug|plugs|cable|cables|lead|leads|run|cable run|leg|microphone|mic|mics|mikro|mikrofon|micro|mik|micd|mic d|miked|close mic|source|sources|level|line|line level|mic level|power|socket|sockets|in front|front|inside|feed|send|no|using|use|unit|rack|box|please|about|approx|ca|passive output|output stage|old|bit of|long|which|that|und|mit|zu|in den|auf|der|die|das|naar|met|et|avec|vers|le|la|au|from the|xlr out|xlr outs|jack out|jack outs|rx xlr out|trs out|trs outs|ts out|xlr output|jack output|3.5 out|rca out|rca outs|left|right|hi|lo|dessus|dessous|oben|unten|sopra|sotto|arriba|abajo|top|bottom|btm|mid|outer|inner|full range|signal|inputs on|instrument|acoustic instrument|usual|standard|normal|wired|wide|main|mains|of mixer|of desk|of the desk|of powered speaker|of monitor controller|of hi fi amp|of domestic amp|of interface|on interface|foh|monitor desk|monitor|mon|truck|pit|church|studio|stage|deck|home|school|theatre|youth band|band|venue|hall|house band|receiver out|sender|female|male|gnd|ground|earth|link|thru|and then|later|as|well|also|type|kind|model|string|strings of|onto|between|under|behind|above|near|next|per channel|chan each|mk|extra|same|con|per|para|de|del|della|dal|al|aan|op|vom|von|ins|uber|dans|sur|depuis|salida|uscita|sortie|ausgang|eingang|entrada|ingresso|entree|uitgang|ingang|kabel|cavo|cavi|cable de|e|y|un|una|une|ein|eine|een|plugged into|plugged|going to|goes to|taken|taken from|coming from|comes from|comes on|arrives on|patched to|patched into|patched|landing on|lands on|on to|off to|feeding|feeds|fed|gets|has|have|he|she|they|we|uses|uses a|brings|on stage|onstage|upstage|downstage|upstage left|upstage right|downstage left|downstage right|first|second|third|main one|tbc|tba|if poss|if possible|preferably|pref|ideally|maybe|any|some|good|nice|simple|short lead|long lead|stays|already|same as above|dry|clean|wet|post|pre eq|post eq|post fader|pre fader'
  ]
];
