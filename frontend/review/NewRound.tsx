// A new round: to whom, and what the sheet holds.
import { Button, Checkbox, Input, Radio } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { WhichFiles } from '../shared/parts/WhichFiles'
import type { Project } from '../shared/types'
import { useAct } from '../shared/useAct'
import { HandOverFields } from './HandOverFields'
import { WhoReads } from './WhoReads'
import { Shares } from './Shares'
import {
  FORMS,
  sendOut,
  sheetAddress,
  useDivision,
  useRefreshRounds,
  type Division,
  type SheetOptions,
} from './queries'

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
const USUAL: SheetOptions = {
  reviser: '',
  as: 'inside',
  may: 'change',
  tracking: true,
  instructions: true,
  terms: false,
  notes: true,
  task: '',
  message: '',
  due_at: '',
  memories: true,
  termbases: true,
  matching: false,
}

// What goes along with a round: nothing more where all files go out.
function chosen(project: Project, left: ReadonlySet<number>): { document_ids?: number[] } {
  if (left.size === 0) return {}
  return { document_ids: project.documents.map((one) => one.id).filter((id) => !left.has(id)) }
}

const namesIn = (text: string) =>
  text
    .split(/[,;]/)
    .map((name) => name.trim())
    .filter(Boolean)

// One round, or one for each share of the words.
function roundsOf(options: SheetOptions, names: string[], division: Division | undefined): SheetOptions[] {
  if (names.length < 2 || division?.shares.length !== names.length) return [options]
  return names.map((reviser, index) => ({
    ...options,
    reviser,
    segment_ids: division.shares[index].segment_ids,
  }))
}

function buttonOf({ as, email }: SheetOptions) {
  if (as !== 'inside') return 'review.make'
  return email === undefined ? 'review.begin' : 'review.invite'
}

export function NewRound({ project, onMade }: { project: Project; onMade: (id: number) => void }) {
  const { t } = useTranslation()
  const [options, setOptions] = useState(USUAL)
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const { act, busy } = useAct()
  const refresh = useRefreshRounds(project.id)
  const files = chosen(project, left)
  const names = options.as === 'hand-over' ? namesIn(options.reviser) : []
  const division = useDivision(project.id, names.length, files.document_ids)
  const make = () =>
    void act(async () => {
      const made = []
      for (const one of roundsOf({ ...options, ...files }, names, division.data))
        made.push(await sendOut(project.id, one))
      await refresh()
      onMade(made[0].id)
      if (options.as !== 'inside' && made.length === 1) window.location.assign(sheetAddress(made[0].id))
    })
  const inside = options.as === 'inside'
  const set = (fields: Partial<SheetOptions>) => setOptions({ ...options, ...fields })
  const ready = inside ? options.email === undefined || options.email.includes('@') : !!options.reviser.trim()
  const divided = names.length < 2 || division.data?.shares.length === names.length
  return (
    <>
      <h1>{t('review.newTitle')}</h1>
      <p className="quiet">{t('review.newLead')}</p>
      <form
        className="new-round"
        onSubmit={(event) => {
          event.preventDefault()
          if (ready && divided) make()
        }}
      >
        <Radio.Group
          className="forms"
          aria-label={t('review.as')}
          value={options.as}
          options={FORMS.map((value) => ({ value, label: t(`review.forms.${value}`) }))}
          onChange={(event) => set({ as: event.target.value as SheetOptions['as'] })}
        />
        {inside ? (
          <WhoReads {...{ options, set }} />
        ) : (
          <label>
            <span>{t('review.reviser')}</span>
            <Input value={options.reviser} onChange={(event) => set({ reviser: event.target.value })} />
            {options.as === 'hand-over' && <span className="small quiet">{t('review.severalNames')}</span>}
          </label>
        )}
        {names.length > 1 && <Shares names={names} division={division.data} error={division.error} />}
        <WhichFiles documents={project.documents} left={left} onLeft={setLeft} />
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
        <Button type="primary" htmlType="submit" disabled={!ready || !divided} loading={busy}>
          {t(buttonOf(options))}
        </Button>
      </form>
    </>
  )
}
