import { strToU8, zipSync } from 'fflate'
import { csvOf } from './write-export'
import type { ExportedColumn } from './exported-columns'

/** One table of the workspace, on its way out. */
export interface Resource {
  /** lower case, digits and hyphens, unique in the package */
  name: string
  title: string
  columns: readonly ExportedColumn[]
}

/**
 * The workspace's data as a Frictionless Data Package, zipped: datapage.json and a CSV file for each table, with a Table Schema
 * that says what each column is.
 * Source: Data Package Standard 2.0 (datapackage.org), Table Schema and Table Dialect.
 */
export function dataPackage(resources: readonly Resource[], about: { created: string }): Uint8Array {
  const descriptor = {
    $schema: 'https://datapackage.org/profiles/2.0/datapackage.json',
    name: 'sickle-workspace',
    title: 'Data gathered with Sickle',
    created: about.created,
    resources: resources.map(({ name, title, columns }) => ({
      name,
      title,
      type: 'table',
      path: `data/${name}.csv`,
      format: 'csv',
      mediatype: 'text/csv',
      encoding: 'utf-8',
      dialect: { delimiter: ',', lineTerminator: '\r\n', doubleQuote: true, header: true },
      schema: { fields: columns.map(tableField), missingValues: [''] },
    })),
  }
  return zipSync({
    'datapackage.json': strToU8(`${JSON.stringify(descriptor, null, 2)}\n`),
    ...Object.fromEntries(resources.map((r) => [`data/${r.name}.csv`, strToU8(csvOf(r.columns, (c) => c.name))])),
  })
}

function tableField({ name, label, help, type, required }: ExportedColumn) {
  const named = { text: 'string', number: 'number', integer: 'integer', date: 'date' } as const
  return {
    name,
    title: label,
    description: help,
    type: named[type],
    ...(required ? { constraints: { required } } : {}),
  }
}
