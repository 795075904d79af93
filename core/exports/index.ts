export { dataPackage, type Resource } from './data-package'
export { exportedColumns, type ExportedColumn } from './exported-columns'
export { exportFormats, type ExportFormat } from './export-formats'
export { writeExport } from './write-export'
