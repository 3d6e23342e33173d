// The text narrowed by conditions; they stand as a sentence below, each word of which is changed by a press or
// left out.
import { useCallback, useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { commands } from '../../shared/commands'
import { useOpened } from '../../shared/focus'
import { Floating } from '../../shared/parts/Floating'
import { useOpenedByAddress } from '../../shared/useOpenedByAddress'
import { ANYTHING, type Conditions } from './conditions'
import { useNamedConditions } from './Names'
import { Panel } from './Panel'
import { useSentence, without, type Part } from './useSentence'

interface Props {
  project: number
  conditions: Conditions
  onChange: (conditions: Conditions) => void
}

export function Filter({ project, conditions, onChange }: Props) {
  const { t } = useTranslation()
  const { open, setOpen, opener, inside } = useOpened()
  useOpenedByAddress(
    'filter',
    useCallback(() => setOpen(true), [setOpen]),
  )
  const [wanted, setWanted] = useState<Part>('text')
  useNamedConditions(onChange)
  useEffect(() =>
    commands.offerNamed([
      { id: 'filter.title', name: t('filter.title'), run: () => setOpen(true) },
      { id: 'filter.clear', name: t('filter.clear'), run: () => onChange(ANYTHING) },
    ]),
  )
  const sentence = useSentence(conditions)
  const said = sentence.map(({ words }) => words).join(', ')
  return (
    <>
      <Floating
        label={t('filter.title')}
        placement="bottomLeft"
        {...{ open, setOpen, inside }}
        content={<Panel key={wanted} {...{ project, conditions, onChange, wanted }} />}
      >
        <button
          ref={opener}
          type="button"
          className="in-place"
          aria-label={said ? `${t('filter.title')}: ${said}` : t('filter.title')}
          aria-haspopup="dialog"
          aria-expanded={open}
          onClick={() => setWanted('text')}
        >
          {t('filter.none')}
        </button>
      </Floating>
      {sentence.length > 0 && (
        <p className="filter-sentence">
          {sentence.map(({ part, words }) => (
            <span key={part}>
              <button
                type="button"
                className="in-place"
                onClick={() => {
                  setWanted(part)
                  setOpen(true)
                }}
              >
                {words}
              </button>
              <button
                type="button"
                className="leave-out"
                aria-label={t('filter.leaveOut', { words })}
                onClick={() => onChange(without(conditions, part))}
              >
                ×
              </button>
            </span>
          ))}
        </p>
      )}
    </>
  )
}
