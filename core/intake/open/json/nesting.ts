/** How deep brackets nest, read off a text before anything is built from it. */
export function nesting(text: string): number {
  let depth = 0
  let deepest = 0
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    if (c === 34) i = endOfString(text, i)
    else if (c === 91 || c === 123) deepest = Math.max(deepest, ++depth)
    else if (c === 93 || c === 125) depth--
  }
  return deepest
}

function endOfString(text: string, start: number): number {
  let i = start + 1
  while (i < text.length && text.charCodeAt(i) !== 34) i += text.charCodeAt(i) === 92 ? 2 : 1
  return i
}
