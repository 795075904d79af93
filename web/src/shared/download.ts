/** Hands the user a file. */
export function downloadBytes(name: string, bytes: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([bytes], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** Text as UTF-8; CSV gets a byte order mark, without which spreadsheets take it for another encoding. */
export function downloadText(name: string, text: string, type: string): void {
  downloadBytes(name, type === 'text/csv' ? `\ufeff${text}` : text, `${type};charset=utf-8`)
}
