export type ExportFormat = 'csv' | 'xlsx' | 'ndjson' | 'parquet'

/** Every form a table can leave in. */
export const exportFormats: Record<ExportFormat, { label: string; mime: string }> = {
  csv: { label: 'CSV', mime: 'text/csv' },
  xlsx: { label: 'XLSX', mime: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet' },
  ndjson: { label: 'NDJSON', mime: 'application/x-ndjson' },
  parquet: { label: 'Parquet', mime: 'application/vnd.apache.parquet' },
}
