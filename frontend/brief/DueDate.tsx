// When a project is due: shown in words, typed as a date or chosen in a calendar. What was typed is kept when
// the field is left.
import { App, Input, Popover } from 'antd'
import dayjs from 'dayjs'
import customParseFormat from 'dayjs/plugin/customParseFormat'
import { useState, type KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { useInPlace } from '../shared/focus'
import { daysUntil, dayAndMonth, longDate, time, weekday } from '../shared/i18n'
import { useSettled } from '../shared/parts/useSettled'
import { Days } from './Days'

dayjs.extend(customParseFormat)

const SHOWN = 'D MMM YYYY, HH:mm'
// How a day may be written; a time may follow.
const DAYS = ['D MMM YYYY', 'D MMMM YYYY', 'D.M.YYYY', 'D/M/YYYY', 'YYYY-MM-DD']
const WITH_TIME = /^(.*?),?\s+(\d{1,2})[:.](\d{2})$/
const END_OF_DAY = 16

const tomorrow = () => dayjs().add(1, 'day').hour(END_OF_DAY).minute(0).second(0)

// A date as it was typed; undefined where it is none. A day without a time is due at the end of the day.
function typedDate(text: string): string | undefined {
  const plain = text.trim().replace(/\s+/g, ' ')
  const [, day, hour, minute] = WITH_TIME.exec(plain) ?? [null, plain, String(END_OF_DAY), '0']
  const date = dayjs(day, DAYS, true)
  if (!date.isValid() || Number(hour) > 23 || Number(minute) > 59) return undefined
  return date.hour(Number(hour)).minute(Number(minute)).toISOString()
}

function inWords(due: string) {
  const days = daysUntil(due)
  const date = days >= 0 && days < 7 ? `${weekday(due)} ${dayAndMonth(due)}` : longDate(due)
  return `${date}, ${time(due)}`
}

export function DueDate({ due, onChange }: { due: string | null; onChange: (due: string | null) => void }) {
  const { t } = useTranslation()
  const { editing, setEditing, button } = useInPlace()
  const shown = due ? inWords(due) : t('brief.setDate')
  if (!editing)
    return (
      <button
        ref={button}
        type="button"
        className={`in-place ${due ? '' : 'blank'}`}
        aria-label={`${t('brief.due')}: ${shown}`}
        onClick={() => setEditing(true)}
      >
        {shown}
      </button>
    )
  return (
    <DueField
      due={due}
      label={t('brief.due')}
      onClose={(value) => {
        setEditing(false)
        if (value !== undefined && value !== due) onChange(value)
      }}
    />
  )
}

interface FieldProps {
  due: string | null
  label: string
  onClose: (value?: string | null) => void
}

function DueField({ due, label, onClose }: FieldProps) {
  const { t } = useTranslation()
  const { message } = App.useApp()
  const settled = useSettled()
  const [text, setText] = useState(() => (due ? dayjs(due) : tomorrow()).format(SHOWN))
  const date = typedDate(text)
  const put = (value: dayjs.Dayjs) => setText(value.format(SHOWN))
  const leave = (kept: string) => {
    if (!kept.trim()) return onClose(null)
    const read = typedDate(kept)
    if (!read) void message.error(t('brief.noDate', { text: kept }))
    onClose(read)
  }
  const press = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 7, PageUp: -7 }[event.key]
    if (event.key === 'Enter') leave(text)
    else if (event.key === 'Escape') onClose()
    else if (step && date) put(dayjs(date).add(step, 'day'))
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const choose = (day: dayjs.Dayjs) => {
    const before = date ? dayjs(date) : tomorrow()
    leave(day.hour(before.hour()).minute(before.minute()).format(SHOWN))
  }
  return (
    <Popover
      open={settled}
      placement="bottomLeft"
      arrow={false}
      content={<Days date={date ? dayjs(date) : tomorrow()} onMove={put} onChoose={choose} />}
    >
      <Input
        autoFocus
        size="small"
        aria-label={label}
        value={text}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={press}
        onBlur={() => leave(text)}
      />
    </Popover>
  )
}
