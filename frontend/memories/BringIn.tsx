// Units brought into a memory from a file: what happens where a source has another target, and for tables
// which columns they stand in.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useQueryClient } from '@tanstack/react-query'
import { App, Button, Modal, Radio } from 'antd'
import { finished } from '../operations/follow'
import { refreshUnderWay } from '../operations/queries'
import { outcome } from '../operations/words'
import type { Memory } from '../shared/types'
import { Columns, TableRows } from './Columns'
import { importUnits, lookAtTable, type TableLook } from './queries'
import { useAct } from '../shared/useAct'
import type { Attempt } from './useAttempt'

const ACCEPTED = '.tmx,.xlf,.xliff,.csv,.tsv,.xlsx,.ods,.docx,.xml,.gz'
const TABLES = /\.(csv|tsv|tab|txt|xlsx|ods|docx)$/i
const WAYS = ['both', 'newer'] as const
const SECONDS = 8
const WIDTH = { plain: 520, table: 680 }

export interface ColumnChoice {
  source_column: string
  target_column: string
}
const FIRST_TWO: ColumnChoice = { source_column: '1', target_column: '2' }

interface Props {
  memory: Memory
  attempt: Attempt
}

// The columns of a table are guessed; where they cannot be read, their numbers are asked for.
function useChosenFile(memory: number) {
  const [file, setFile] = useState<File | null>(null)
  const [columns, setColumns] = useState(FIRST_TWO)
  const [table, setTable] = useState<TableLook | null>(null)
  const choose = async (chosen: File | null) => {
    setFile(chosen)
    setTable(null)
    setColumns(FIRST_TWO)
    if (!chosen || !TABLES.test(chosen.name)) return
    const found = await lookAtTable(memory, chosen).catch(() => null)
    if (!found) return
    setTable(found)
    setColumns({ source_column: found.source ?? '', target_column: found.target ?? '' })
  }
  const { source_column: source, target_column: target } = columns
  const tabular = file !== null && TABLES.test(file.name)
  const complete = !tabular || (source && target && source !== target)
  return { file, choose, columns, setColumns, table, tabular, complete }
}

export function BringIn({ memory, attempt }: Props) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { message } = App.useApp()
  const { act } = useAct()
  const [different, setDifferent] = useState<(typeof WAYS)[number]>('both')
  const { file, choose, columns, setColumns, table, tabular, complete } = useChosenFile(memory.id)
  const leave = () => void choose(null)
  const bring = () => {
    if (!file) return
    const fields = { file, different, ...(tabular ? { columns: JSON.stringify(columns) } : {}) }
    leave()
    attempt(async () => {
      const begun = await importUnits(memory.id, fields)
      void refreshUnderWay(cache)
      // Its progress shows on the page; what it came to is said wherever the user is by then.
      void act(async () => void message.info(outcome(await finished(begun), t), SECONDS))
    })
  }
  return (
    <>
      <label className="link small chooser">
        {t('memories.import')}
        <input
          type="file"
          accept={ACCEPTED}
          className="hidden-text"
          aria-label={`${t('memories.import')}: ${memory.name}`}
          onChange={(event) => {
            void choose(event.target.files?.[0] ?? null)
            event.target.value = ''
          }}
        />
      </label>
      <Modal
        open={file !== null}
        title={t('memories.bringTitle', { file: file?.name, name: memory.name })}
        onCancel={leave}
        width={table ? WIDTH.table : WIDTH.plain}
        destroyOnHidden
        footer={
          <>
            <Button onClick={leave}>{t('memories.cancel')}</Button>{' '}
            <Button type="primary" disabled={!complete} onClick={bring}>
              {t('memories.bring')}
            </Button>
          </>
        }
      >
        <p>{t('memories.sameNever')}</p>
        <fieldset className="choices">
          <legend>{t('memories.different')}</legend>
          <Radio.Group
            vertical
            value={different}
            onChange={(event) => setDifferent(event.target.value)}
            options={WAYS.map((way) => ({ value: way, label: t(`memories.ways.${way}`) }))}
          />
        </fieldset>
        {tabular && <Columns {...{ table, columns, setColumns }} />}
        {table && <TableRows table={table} columns={columns} />}
      </Modal>
    </>
  )
}
