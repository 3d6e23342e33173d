// A new round: to whom, and what the sheet holds.
import { Button, Checkbox, Input, Radio } from 'antd'
import { useTranslation } from 'react-i18next'
import { WhichFiles } from '../shared/parts/WhichFiles'
import type { Project } from '../shared/types'
import { HandOverFields } from './HandOverFields'
import { WhoReads } from './WhoReads'
import { Shares } from './Shares'
import { FORMS, type SheetOptions } from './queries'
import { useNewRound } from './useNewRound'

type Switch = 'tracking' | 'instructions' | 'terms' | 'notes'
// What there is to choose from, by what it goes out as.
const SWITCHES: Record<SheetOptions['as'], Switch[]> = {
  inside: [],
  docx: ['tracking', 'instructions', 'terms', 'notes'],
  xlsx: ['instructions', 'terms', 'notes'],
  xliff: ['notes'],
  xliff12: ['notes'],
  tmx: ['notes'],
  'hand-over': [],
}
const SHEETS = ['docx', 'xlsx', 'xliff', 'xliff12', 'tmx']

function buttonOf({ as, email }: SheetOptions) {
  if (as !== 'inside') return 'review.make'
  return email === undefined ? 'review.begin' : 'review.invite'
}

interface Props {
  project: Project
  // The segments that a filter of Translate left.
  chosen?: number[]
  onMade: (id: number) => void
}

export function NewRound({ project, chosen, onMade }: Props) {
  const { t } = useTranslation()
  const round = useNewRound({ project, chosen, onMade })
  const { options, set, names, division, ready } = round
  const isSheet = SHEETS.includes(options.as)
  return (
    <>
      <h1>{t('review.newTitle')}</h1>
      <p className="quiet">{t('review.newLead')}</p>
      <form
        className="new-round"
        onSubmit={(event) => {
          event.preventDefault()
          if (ready) round.make()
        }}
      >
        <Radio.Group
          className="forms"
          aria-label={t('review.as')}
          value={options.as}
          options={FORMS.map((value) => ({ value, label: t(`review.forms.${value}`) }))}
          onChange={(event) => set({ as: event.target.value as SheetOptions['as'] })}
        />
        {options.as === 'inside' ? (
          <WhoReads {...{ options, set }} />
        ) : (
          <label>
            <span>{t('review.reviser')}</span>
            <Input value={options.reviser} onChange={(event) => set({ reviser: event.target.value })} />
            {options.as === 'hand-over' && <span className="small quiet">{t('review.severalNames')}</span>}
          </label>
        )}
        {names.length > 1 && <Shares names={names} division={division.data} error={division.error} />}
        <WhatGoesOut {...{ project, round, isSheet }} />
        {SWITCHES[options.as].map((name) => (
          <Checkbox
            key={name}
            checked={options[name]}
            onChange={(event) => set({ [name]: event.target.checked })}
          >
            {t(`review.switches.${name}`)}
          </Checkbox>
        ))}
        {options.as === 'hand-over' && <HandOverFields {...{ options, set }} />}
        <Button type="primary" htmlType="submit" disabled={!ready} loading={round.busy}>
          {t(buttonOf(options))}
        </Button>
      </form>
    </>
  )
}

interface WhatProps {
  project: Project
  round: ReturnType<typeof useNewRound>
  isSheet: boolean
}

// What a filter left, or files.
function WhatGoesOut({ project, round, isSheet }: WhatProps) {
  const { t } = useTranslation()
  const { left, setLeft, segments, setSegments, oneEach, setOneEach } = round
  if (segments)
    return (
      <p className="small">
        {t('review.chosen', { count: segments.length })} ·{' '}
        <button type="button" className="link" onClick={() => setSegments(undefined)}>
          {t('review.allInstead')}
        </button>
      </p>
    )
  return (
    <>
      <WhichFiles documents={project.documents} left={left} onLeft={setLeft} />
      {isSheet && project.documents.length - left.size > 1 && (
        <Checkbox checked={oneEach} onChange={(event) => setOneEach(event.target.checked)}>
          {t('review.oneEach')}
        </Checkbox>
      )}
    </>
  )
}
