// The operations that the user has under way, at the top of every page: a page may be left while they go on.
import { useTranslation } from 'react-i18next'
import { useOpened } from '../shared/focus'
import { Floating } from '../shared/parts/Floating'
import { OperationProgress } from './OperationProgress'
import { useUnderWay } from './queries'
import { percentOf } from './words'
import './operations.css'

export function Tray() {
  const { t } = useTranslation()
  const { open, setOpen, opener, inside } = useOpened()
  const list = useUnderWay().data ?? []
  if (!list.length) return null
  const label = t('operations.tray', { count: list.length })
  const share = Math.max(...list.map(percentOf))
  return (
    <Floating
      label={label}
      placement="bottomRight"
      {...{ open, setOpen, inside }}
      content={
        <ul className="operation-tray">
          {list.map((operation) => (
            <li key={operation.id}>
              <OperationProgress operation={operation} />
            </li>
          ))}
        </ul>
      }
    >
      <button ref={opener} type="button" className="tool tray" aria-label={label} aria-expanded={open}>
        <span className="gauge wide" aria-hidden>
          <i style={{ width: `${share}%` }} />
        </span>
        <span className="tab">{list.length}</span>
      </button>
    </Floating>
  )
}
