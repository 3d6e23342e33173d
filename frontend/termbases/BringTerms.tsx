// Terms brought into a termbase from a file: how they meet what is there, and what the columns of a table
// hold.
import { useQueryClient } from '@tanstack/react-query'
import { App, Button, Modal, Radio } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { finished } from '../operations/follow'
import { refreshUnderWay } from '../operations/queries'
import { outcome } from '../operations/words'
import type { TermbasePage } from '../shared/types'
import { importTerms, lookAtTerms, type TermTable } from './queries'
import { Roles } from './Roles'

const ACCEPTED = '.tbx,.xml,.csv,.tsv,.xlsx,.ods'
const WAYS = ['id', 'term', 'add'] as const

const SECONDS = 8

interface Props {
  termbase: TermbasePage
  attempt: (work: () => Promise<unknown>) => void
}

export function BringTerms({ termbase, attempt }: Props) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const cache = useQueryClient()
  const [file, setFile] = useState<File | null>(null)
  const [table, setTable] = useState<TermTable | null>(null)
  const [roles, setRoles] = useState<(string | null)[]>([])
  const [way, setWay] = useState<(typeof WAYS)[number]>('id')
  const choose = (chosen: File) =>
    attempt(async () => {
      const look = await lookAtTerms(termbase.id, chosen)
      setTable(look)
      setRoles((look.columns ?? []).map((column) => column.role))
      setFile(chosen)
    })
  const bring = () => {
    if (!file) return
    const fields = { file, way, ...(table?.columns ? { roles: JSON.stringify(roles) } : {}) }
    setFile(null)
    attempt(async () => {
      const begun = await importTerms(termbase.id, fields)
      void refreshUnderWay(cache)
      const over = await finished(begun)
      const faults = over.result.faults?.length ?? 0
      const told = outcome(over, t)
      void message.info(faults ? `${told} ${t('operations.faults', { count: faults })}` : told, SECONDS)
    })
  }
  return (
    <>
      <label className="plain-link chooser">
        {t('termbases.bring')}
        <input
          type="file"
          accept={ACCEPTED}
          className="hidden-text"
          aria-label={t('termbases.bring')}
          onChange={(event) => {
            const chosen = event.target.files?.[0]
            if (chosen) choose(chosen)
            event.target.value = ''
          }}
        />
      </label>
      <Modal
        open={file !== null}
        title={t('termbases.bringFile', { name: file?.name })}
        width={table?.columns ? 720 : 520}
        onCancel={() => setFile(null)}
        footer={
          <Button type="primary" onClick={bring}>
            {t('termbases.bringNow')}
          </Button>
        }
      >
        <fieldset className="choices">
          <legend>{t('termbases.meets')}</legend>
          {WAYS.map((one) => (
            <Radio key={one} checked={way === one} onChange={() => setWay(one)}>
              {t(`termbases.ways.${one}`)}
            </Radio>
          ))}
        </fieldset>
        {table?.columns && (
          <Roles table={table} roles={roles} onChange={setRoles} languages={termbase.languages} />
        )}
      </Modal>
    </>
  )
}
