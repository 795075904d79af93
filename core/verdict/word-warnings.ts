const inside = (words: string) => new RegExp(`(?<!\\p{L})(?:${words})`, 'iu')

/** What breaks, by what it is made of or is, in eight languages. */
const breaks = inside(
  'glass(?!\\p{L}| cleaner)|\\p{L}*glas(?!\\p{L})|glazen|ceramic|keramik|keramisch|céramique|cerámica|ceramica|cerâmica|ceramiczn|porcel|porzellan|porsel|stoneware|steinzeug|grès(?!\\p{L})|steengoed|earthenware|terracotta|terrakotta|terakot|barro(?!\\p{L})|verre(?!\\p{L})|cristal|crystal(?!\\p{L})|kristall|vetro|vidro|vidrio|szklan|szkła|mirror|spiegel|miroir|espejo|specchio|lustro|espelho',
)
/** What is called after glass and is none. */
const doesNot = inside(
  'fibreglass|fiberglass|glasfaser|plexiglas|acrylglas|sunglass|fernglas|glasreiniger|fibra de vidrio',
)

/** Does it break on its way, by its words? A hint for whoever judges by eye; how often it is right stands in docs/checks.md. */
export const breaksByWords = (title: string): boolean => breaks.test(title) && !doesNot.test(title)
