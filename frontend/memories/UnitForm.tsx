// A unit edited in place. Ctrl Enter keeps it, Escape leaves it as it was.
import { Button, Input } from 'antd'
import { useState, type FocusEvent, type KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { direction } from '../shared/languages'
import type { Memory, TranslationUnit, Operation } from '../shared/types'
import { useAct } from '../shared/useAct'
import { editUnit } from './queries'

const SIDES = ['source', 'target'] as const

const toEnd = ({ target }: FocusEvent<HTMLTextAreaElement>) =>
  target.setSelectionRange(target.value.length, target.value.length)

interface Props {
  unit: TranslationUnit
  memory: Memory
  onLeave: () => void
  onEdited: (operation: Operation | null) => void
}

export function UnitForm({ unit, memory, onLeave, onEdited }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const [draft, setDraft] = useState({ source: unit.source, target: unit.target })
  const keep = () => void act(async () => onEdited((await editUnit(unit.id, draft)).operation))
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.stopPropagation()
      onLeave()
    } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault()
      keep()
    }
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        keep()
      }}
      onKeyDown={press}
    >
      {SIDES.map((side) => (
        <Input.TextArea
          key={side}
          autoFocus={side === 'target'}
          autoSize
          className="reading"
          onFocus={toEnd}
          aria-label={t(`memories.sides.${side}`)}
          lang={memory[`${side}_lang`]}
          dir={direction(memory[`${side}_lang`])}
          value={draft[side]}
          onChange={(event) => setDraft({ ...draft, [side]: event.target.value })}
        />
      ))}
      <Button type="primary" htmlType="submit" size="small">
        {t('memories.keepUnit')}
      </Button>{' '}
      <button type="button" className="small quiet" onClick={onLeave}>
        {t('memories.leaveUnit')}
      </button>
    </form>
  )
}
