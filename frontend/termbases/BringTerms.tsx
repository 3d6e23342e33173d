// Terms brought into a termbase from a file: how they meet what is there, and what the columns of a table
// hold.
import { App, Button, Modal, Radio } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { TermbaseAct, TermbasePage } from '../shared/types'
import { number } from '../shared/i18n'
import { useOffer } from '../shared/useOffer'
import { anAct, bringTerms, lookAtTerms, undoAct, type TermTable } from './queries'
import { Roles } from './Roles'

const ACCEPTED = '.tbx,.xml,.csv,.tsv,.xlsx,.ods'
const WAYS = ['id', 'term', 'add'] as const

const PROGRESS = 'bring-terms'
// How often is asked how far it is, in ms.
const OFTEN = 800

// A large file is taken in afterwards; meanwhile it is shown how far it is.
async function whenDone(begun: TermbaseAct, show: (act: TermbaseAct) => void): Promise<TermbaseAct> {
  let act = begun
  while (act.facts.state === 'reading' && !act.undone_at) {
    show(act)
    await new Promise((done) => window.setTimeout(done, OFTEN))
    act = await anAct(act.id)
  }
  return act
}

interface Props {
  termbase: TermbasePage
  attempt: (work: () => Promise<unknown>) => void
}

export function BringTerms({ termbase, attempt }: Props) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const offer = useOffer(PROGRESS)
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
  const show = (act: TermbaseAct) => {
    const left = Math.round((act.facts.share ?? 0) * 100)
    const stop = () => void attempt(() => undoAct(act.id))
    offer(
      t('termbases.bringing', {
        name: act.summary,
        share: left,
        count: act.facts.read ?? 0,
        entries: number(act.facts.read ?? 0),
      }),
      t('termbases.stop'),
      stop,
    )
  }
  const bring = () => {
    if (!file) return
    const fields = { file, way, ...(table?.columns ? { roles: JSON.stringify(roles) } : {}) }
    setFile(null)
    attempt(async () => {
      const act = await whenDone(await bringTerms(termbase.id, fields), show)
      message.destroy(PROGRESS)
      if (act.undone_at) return
      if (act.facts.state === 'failed') throw new Error(act.facts.message)
      const faults = act.facts.faults?.length ?? 0
      const { added = 0, merged = 0, same = 0 } = act.facts
      const told = t('termbases.brought', {
        added: number(added),
        merged: number(merged),
        same: number(same),
      })
      void message.info(faults ? `${told} ${t('termbases.faults', { count: faults })}` : told, 8)
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
