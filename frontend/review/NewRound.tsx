// A new round: to whom, and what the sheet holds.
import { Button, Checkbox, Input, Radio } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { WhichFiles } from '../shared/parts/WhichFiles'
import type { Project } from '../shared/types'
import { useAct } from '../shared/useAct'
import { HandOverFields } from './HandOverFields'
import { WhoReads } from './WhoReads'
import { FORMS, sendOut, sheetAddress, useRefreshRounds, type SheetOptions } from './queries'

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
}

// What goes along with a round: nothing more where all files go out.
function chosen(project: Project, left: ReadonlySet<number>) {
  if (left.size === 0) return {}
  return { document_ids: project.documents.map((one) => one.id).filter((id) => !left.has(id)) }
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
  const make = () =>
    void act(async () => {
      const round = await sendOut(project.id, { ...options, ...chosen(project, left) })
      await refresh()
      onMade(round.id)
      if (options.as !== 'inside') window.location.assign(sheetAddress(round.id))
    })
  const inside = options.as === 'inside'
  const set = (fields: Partial<SheetOptions>) => setOptions({ ...options, ...fields })
  const ready = inside ? options.email === undefined || options.email.includes('@') : !!options.reviser.trim()
  return (
    <>
      <h1>{t('review.newTitle')}</h1>
      <p className="quiet">{t('review.newLead')}</p>
      <form
        className="new-round"
        onSubmit={(event) => {
          event.preventDefault()
          if (ready) make()
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
          </label>
        )}
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
        <Button type="primary" htmlType="submit" disabled={!ready} loading={busy}>
          {t(buttonOf(options))}
        </Button>
      </form>
    </>
  )
}
