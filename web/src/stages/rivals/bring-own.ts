import { pastedFile, type PastedGoods } from '@sickle/core/own'
import { useServices } from '@/services/services'
import { useBringText } from '@/shared/stores/bring-text'
import { useWorkspace } from '@/shared/stores/workspace'
import { removeImport } from '@/storage/imports'

/** what the import is called in the ledger */
export const pastedName = 'my goods, pasted.csv'

/** Brings a pasted list of own goods in, as a file of the kind `catalogue` would come; the list that was pasted before goes. */
export function useBringOwn() {
  const services = useServices()
  const workspace = useWorkspace()
  const bring = useBringText()
  return async (goods: readonly PastedGoods[]): Promise<void> => {
    const before = workspace.ledger.filter((e) => e.file === pastedName)
    await bring({
      name: pastedName,
      kind: 'catalogue',
      fields: ['sku', 'title', 'gtin'],
      csv: pastedFile(goods),
      job: 'Take my goods',
      taken: (n) => `${n} things taken`,
    })
    for (const { id } of before) await removeImport(await services.database(), id)
    if (before.length > 0) await workspace.renew()
  }
}
