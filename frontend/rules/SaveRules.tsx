// Saves the rules for the project or for all projects, restores earlier ones, imports and exports SRX.
import { Button } from 'antd'
import { useRef } from 'react'
import { useTranslation } from 'react-i18next'
import type { Project, Ruling } from '../shared/types'
import { kindOf, rulesFile, useSaveRules, type RulesOwner } from './queries'
import type { useEdited } from './useEdited'

interface Props {
  ruling: Ruling
  owner: RulesOwner
  project?: Project
  edited: ReturnType<typeof useEdited>
  faulty: boolean
}

export function SaveRules({ ruling, owner, project, edited, faulty }: Props) {
  const { t } = useTranslation()
  const { groups, touched, forget } = edited
  const { keep, keepForAll, drop, bring, busy } = useSaveRules(owner, project, forget)
  const kind = kindOf(owner)
  const droppable = kind === 'all' ? ruling.from !== 'default' : ruling.from === kind
  return (
    <>
      <div className="acts">
        <Button type="primary" disabled={!touched || faulty} loading={busy} onClick={() => keep(groups)}>
          {t(`rules.keep.${kind}`)}
        </Button>
        {kind !== 'all' && (
          <button type="button" className="link" disabled={faulty} onClick={() => keepForAll(groups)}>
            {t('rules.keep.all')}
          </button>
        )}
        {droppable && (
          <button type="button" className="link" onClick={drop}>
            {t(`rules.drop.${kind}`)}
          </button>
        )}
        <span className="push" />
        <BringRules onFile={bring} />
        <a className="link" href={rulesFile(owner)} download="rules.srx">
          {t('rules.export')}
        </a>
      </div>
      {project?.begun_at && <p className="small quiet">{t('rules.whatStays')}</p>}
    </>
  )
}

function BringRules({ onFile }: { onFile: (file: File) => void }) {
  const { t } = useTranslation()
  const file = useRef<HTMLInputElement>(null)
  return (
    <>
      <button type="button" className="link" onClick={() => file.current?.click()}>
        {t('rules.import')}
      </button>
      <input
        ref={file}
        type="file"
        accept=".srx,.xml"
        className="hidden-text"
        tabIndex={-1}
        aria-label={t('rules.import')}
        onChange={(event) => {
          const chosen = event.target.files?.[0]
          event.target.value = ''
          if (chosen) onFile(chosen)
        }}
      />
    </>
  )
}
