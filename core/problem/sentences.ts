/** Every way things can go wrong, with the sentence a seller reads: what, where, what to do. */
export const sentences = {
  unexpected: 'Something went wrong that Sickle did not foresee: {text}. Nothing was changed; please try again.',
  cancelled: 'Cancelled. Nothing was changed.',

  'file-empty': '{file} is empty. Choose a file with at least a heading and one row.',
  'file-too-large':
    '{file} is {megabytes} MB; Sickle takes {kind} files up to {limit} MB. Split it, or export a shorter period.',
  'file-binary':
    '{file} is not a table: it holds binary data Sickle cannot read. Export it as CSV, TSV, XLSX, JSON or NDJSON.',
  'file-old-spreadsheet': '{file} is an old spreadsheet (XLS). Save it as XLSX or CSV and bring it again.',
  'file-xlsx-broken': '{file} cannot be opened as a spreadsheet: {reason}. Export it again, or save it as CSV.',
  'file-json-broken': '{file} is not valid JSON: {reason}. Export it again, or mend it there.',
  'file-json-deep':
    '{file} is nested more than {limit} levels deep, which no sales table needs. Export a plainer form.',
  'file-no-table': '{file} holds no table: no heading row with rows under it was found.',
  'file-slow':
    '{file} could not be opened within ten seconds, and was let go. Split it, or save it as CSV and bring it again.',
  'file-none-taken':
    'No row of {file} could be read ({rows} refused; the first: {reason}). Nothing was kept. Look at which column is which, or export it again.',
  'file-wide': '{file} has {columns} columns; Sickle takes up to {limit}. Export fewer columns.',
  'row-too-long':
    '{file}: row {row} does not end within {megabytes} MB. Its line ends are broken, or a quotation mark never closes. Export it again, or mend that row.',
  'kind-unclear':
    '{file} is not recognised as listings, sales or supplier offers. Say what it holds and which column is which.',
  'field-missing': '{field} is needed for {kind}: choose the column that holds it.',
  'question-open': 'One question is still open: {question}',

  'money-mixed': '{a} and {b} cannot be added without a rate. Enter a rate for {b} in Settings.',
  'money-no-rate': 'No rate from {from} to {to}. Enter one in Settings.',
  'money-range': 'The amount {amount} is out of range.',
  'input-invalid': '{name} must be {want}; it is {got}.',
  'schedule-invalid': 'The fee schedule cannot be used: {reason}.',

  'backup-damaged': '{file} is not a whole Sickle backup: {reason}. Nothing was changed.',
  'backup-large':
    '{file} holds {megabytes} MB; a backup may hold up to {limit} MB. Remove imports from the ledger that you can bring in again, and write it anew. Nothing was changed.',
  'backup-newer': '{file} was written by a newer Sickle (format {version}). Update Sickle first. Nothing was changed.',
  'drafts-invalid': '{file} cannot be read as listing drafts: {reason}. Nothing was changed.',
  'cut-invalid': 'This Cut cannot be read: {reason}.',
  'not-judged':
    'Not kept: “{title}” (and {others} more) is not judged yet. Tick what speaks for or against it in its Close look; there you also say whether that comes first.',

  'storage-full': 'The browser gives Sickle no more space. Remove an import from the ledger, or free disk space.',
  'storage-closed': 'The browser does not let Sickle keep data here (private window?). Open it in a normal window.',
  'storage-newer': 'This workspace was last opened by a newer Sickle. Start that one; nothing was changed.',
  'file-parquet-broken': '{file} cannot be read as Parquet: {reason}.',
  'source-refused': 'The source refuses: {reason}.',
  'source-failing':
    'The source keeps failing ({reason}); after {attempts} tries the scan rests. Nothing that came in is lost: resume it later.',
  'source-answer': 'The source does not keep to the connector contract: {reason}.',
  'tab-follows':
    'Another tab has this workspace and writes to it; this one only follows. Choose “Work here” to go on in this tab.',
  'import-spoilt':
    'What is kept of {file} is not as it was brought in: {what}. It is set aside and counts in no figure. Bring the file in again, or restore a backup.',
  'snapshot-spoilt': 'What was worked out last is not as it was kept. Everything is worked out anew.',
  'rejects-spoilt':
    'What could not be taken from {file} was kept, but is not as it was. Bring the file in again to see it.',
  'document-spoilt':
    '{name} kept in this browser {what}. They are set aside, and what is shown is a fresh start. Restore a backup to have them again.',
  'document-invalid': '{name} cannot be kept like that: {reason}.',
  'scan-spoilt': 'What is kept of this scan is not as it was, and is not used. Give it up and scan again.',
  'scan-page-spoilt': 'Page {page} of what came in is not as it was kept. Resume the scan, and it is asked for again.',
  'import-lost': '{file} was not kept, as another tab took over meanwhile. Bring it in again.',
  'demo-missing': 'The demo files are not served here. Start Sickle with `npm run demo`.',
} as const

export type ProblemCode = keyof typeof sentences
