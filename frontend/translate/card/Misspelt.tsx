// What a misspelt word may have been meant to be, and where it may be kept as right; a key opens it.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../../shared/api'
import { keys } from '../../shared/queryKeys'
import type { Project } from '../../shared/types'
import { useAct } from '../../shared/useAct'

interface Props {
  project: Project
  word: string
  onTake: (text: string) => void
  onLearned: () => void
  onSkip: () => void
  onClose: () => void
}

export function Misspelt({ project, word, onTake, onLearned, onSkip, onClose }: Props) {
  const { t } = useTranslation()
  const { act } = useAct()
  const cache = useQueryClient()
  const box = useRef<HTMLDivElement>(null)
  const { data } = useQuery({
    queryKey: keys.suggestions(project.id, word),
    queryFn: () =>
      api.get<{ suggestions: string[] }>(`/projects/${project.id}/spelling?${new URLSearchParams({ word })}`),
  })
  useEffect(() => box.current?.querySelector('button')?.focus(), [data])
  const learn = (where: string) =>
    void act(async () => {
      await api.patch(`/projects/${project.id}/spelling`, { word, where })
      await cache.invalidateQueries({ queryKey: keys.allSuggestions })
      onLearned()
    })
  const places = project.client_id ? ['mine', 'client', 'project'] : ['mine', 'project']
  return (
    <div
      ref={box}
      className="misspelt"
      role="group"
      aria-label={t('spelling.of', { word })}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Escape') onClose()
        const buttons = [...(box.current?.querySelectorAll('button') ?? [])]
        const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
        if (!step) return
        event.preventDefault()
        const at = buttons.indexOf(document.activeElement as HTMLButtonElement)
        buttons[(at + step + buttons.length) % buttons.length]?.focus()
      }}
    >
      <s>{word}</s>
      {(data?.suggestions ?? []).map((one) => (
        <button key={one} type="button" className="suggestion" onClick={() => onTake(one)}>
          {one}
        </button>
      ))}
      {data && !data.suggestions.length && <span className="quiet">{t('spelling.none')}</span>}
      <button type="button" className="plain-link" onClick={onSkip}>
        {t('spelling.skip')}
      </button>
      <span className="quiet">{t('spelling.right')}</span>
      {places.map((where) => (
        <button key={where} type="button" className="plain-link" onClick={() => learn(where)}>
          {t(`spelling.places.${where}`, { client: project.client })}
        </button>
      ))}
    </div>
  )
}
