// A file that was read: its figures, how it is cut, its options; once the work has begun a newer version may
// be dropped on it.
import { useState, type DragEvent, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { languageName } from '../shared/languages'
import { BandBar } from '../shared/parts/BandBar'
import { MenuInPlace } from '../shared/parts/MenuInPlace'
import type { DocumentRow } from '../shared/types'
import type { Settle } from './FileRow'
import { NewVersion, sendVersion } from './NewVersion'
import { Options } from './Options'
import { NewerVersion, OldVersion, ReadAgain } from './VersionLinks'
import type { Attempt } from './useChanges'

interface Props {
  row: DocumentRow
  version?: DocumentRow
  fixed: boolean
  attempt: Attempt
  settle: Settle
  remove: ReactNode
}

export function FileReady({ row, version, fixed, attempt, settle, remove }: Props) {
  const { t } = useTranslation()
  const [over, setOver] = useState(false)
  const send = (file?: File) => file && attempt(() => sendVersion(row.id, file))
  const dropped = (event: DragEvent) => {
    setOver(false)
    if (!fixed || !event.dataTransfer.files.length) return
    event.preventDefault()
    event.stopPropagation()
    send(event.dataTransfer.files[0])
  }
  return (
    <li
      className={over ? 'over' : ''}
      onDragOver={(event) => {
        if (!fixed) return
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={dropped}
    >
      <div>
        <div className="name">{row.name}</div>
        <p className="small quiet">
          {row.format} · <ItsLanguage row={row} />
          {!row.timed && (
            <>
              <HowCut row={row} settle={settle} /> ·{' '}
            </>
          )}
          <Options row={row} onChange={(options) => settle({ options })} />
          <Facts row={row} />
          {row.film && ` · ${t('brief.withFilm', { name: row.film })}`}
          {fixed && row.outdated && <ReadAgain row={row} attempt={attempt} />}
          {fixed && <NewerVersion row={row} send={send} />}
          {row.replaces_id && <OldVersion row={row} attempt={attempt} />}
        </p>
      </div>
      <div className="figure tab" aria-label={`${number(row.facts.words ?? 0)} ${t('brief.words')}`}>
        {number(row.facts.words ?? 0)}
      </div>
      <BandBar files={[row.groups]} />
      {remove}
      {version && <NewVersion row={version} attempt={attempt} />}
    </li>
  )
}

function ItsLanguage({ row }: { row: DocumentRow }) {
  const { t } = useTranslation()
  if (row.twin) return <strong>{t('brief.twin', { name: row.twin })} · </strong>
  if (row.unlike) return <strong>{t('brief.unlike', { language: languageName(row.unlike) })} · </strong>
  return row.source_lang && <>{languageName(row.source_lang)} · </>
}

function HowCut({ row, settle }: { row: DocumentRow; settle: Settle }) {
  const { t } = useTranslation()
  const ways = { sentence: t('brief.bySentence'), paragraph: t('brief.byParagraph') }
  return (
    <MenuInPlace
      label={ways[row.by]}
      title={row.name}
      value={row.by}
      options={Object.entries(ways).map(([value, label]) => ({ value, label }))}
      onChange={(by) => settle({ by })}
    />
  )
}

function Facts({ row }: { row: DocumentRow }) {
  const { t } = useTranslation()
  const { segments = 0, tables = 0, pictures = 0 } = row.facts
  const told = [
    t('brief.segments', { count: segments }),
    tables ? t('brief.tables', { count: tables }) : '',
    pictures ? t('brief.pictures', { count: pictures }) : '',
  ]
  return <> · {told.filter(Boolean).join(' · ')}</>
}
