import { importRows, openFile, proposeMapping } from '../core/intake'
import type { Capture } from '../core/records'
import { demoBytes } from '../server/src/demo-bytes'
import { demoFiles, type DemoFile, type World } from '../standins'

/** A made-up world as it comes in: every file of it through the same intake as a user's file. */
export async function demoCaptures(world: World): Promise<Capture[]> {
  const captures: Capture[] = []
  // a world without goods of a market, or without searches, has nothing to say there
  const saysSomething = ({ content }: DemoFile) => typeof content !== 'string' || /\n[^\n]*\n|\[\{/.test(content)
  for (const { name, bytes, answers } of await demoBytes(demoFiles(world).filter(saysSomething))) {
    const opened = await openFile(new File([bytes as Uint8Array<ArrayBuffer>], name))
    const { mapping } = proposeMapping(opened, Date.UTC(2026, 11, 1))
    const answered = {
      ...mapping,
      market: answers.market ?? null,
      currency: mapping.currency ?? answers.currency ?? null,
    }
    const { table, capturedOn } = await importRows(opened, answered)
    captures.push({ id: name, kind: mapping.kind, capturedOn, windowDays: mapping.windowDays, table })
  }
  return captures
}
