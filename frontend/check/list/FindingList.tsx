// The findings, under headings where they are grouped; one at a time is open to be written in or let stand.
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Project } from '../../shared/types'
import { headingOf, type Order } from '../choice'
import { useRefreshFindings, type Finding } from '../queries'
import { FindingItem } from './FindingItem'
import type { Mending } from './useMending'
import { useWalking } from './useWalking'

interface Props {
  shown: Finding[]
  project: Project
  mending: Mending
  order: Order
}
// What is open of which finding.
export type Open = { key: string; what: 'writing' | 'standing' } | null

export function FindingList({ shown: now, project, mending, order }: Props) {
  const { t } = useTranslation()
  const [open, setOpened] = useState<Open>(null)
  const [held, setHeld] = useState(now)
  // While a finding is written in the list stays as it was: what is typed changes what is found.
  const shown = open?.what === 'writing' ? held : now
  const setOpen = (wanted: Open) => {
    setHeld(shown)
    setOpened(wanted)
  }
  const refresh = useRefreshFindings(project.id)
  const { list, onKeyDown, focusAgain } = useWalking({ shown, mending, project: project.id, setOpen })
  const close = (index: number) => {
    setOpen(null)
    focusAgain(index)
  }
  return (
    <ol ref={list} className="findings">
      {shown.map((finding, index) => {
        const heading = headingOf(finding, order)
        const first = index === 0 || headingOf(shown[index - 1], order) !== heading
        return [
          heading && first && (
            <li key={heading} className="heading">
              <h2>{t(heading)}</h2>
            </li>
          ),
          <FindingItem
            key={`${finding.key} ${index}`}
            {...{ finding, project, mending, onKeyDown, setOpen }}
            open={open?.key === finding.key ? open.what : null}
            first={index === 0}
            onClose={() => {
              close(index)
              void refresh()
            }}
          />,
        ]
      })}
    </ol>
  )
}
