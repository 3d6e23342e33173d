// A month to point at, beside the field of a date; the field keeps the keyboard.
import { Calendar } from 'antd'
import britishDays from 'antd/es/calendar/locale/en_GB'
import type { Dayjs } from 'dayjs'
import 'dayjs/locale/en-gb'

interface DaysProps {
  date: Dayjs
  onMove: (date: Dayjs) => void
  onChoose: (day: Dayjs) => void
}

export function Days({ date, onMove, onChoose }: DaysProps) {
  return (
    <div className="days" onMouseDown={(event) => event.preventDefault()}>
      <Calendar
        fullscreen={false}
        locale={britishDays}
        value={date}
        // oxlint-disable-next-line react/no-unstable-nested-components -- it is a function, not a component
        headerRender={() => <Month date={date} onMove={onMove} />}
        onSelect={(day, { source }) => {
          if (source === 'date') onChoose(day)
        }}
      />
    </div>
  )
}

function Month({ date, onMove }: Pick<DaysProps, 'date' | 'onMove'>) {
  return (
    <header>
      <MonthStep to={date.subtract(1, 'month')} mark="←" onMove={onMove} />
      <b>{date.format('MMMM YYYY')}</b>
      <MonthStep to={date.add(1, 'month')} mark="→" onMove={onMove} />
    </header>
  )
}

function MonthStep({ to, mark, onMove }: { to: Dayjs; mark: string; onMove: (date: Dayjs) => void }) {
  return (
    <button type="button" tabIndex={-1} aria-label={to.format('MMMM YYYY')} onClick={() => onMove(to)}>
      {mark}
    </button>
  )
}
