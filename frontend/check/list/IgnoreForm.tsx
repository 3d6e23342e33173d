// Lets a finding stand: why, and whether that goes for all like it. Enter lets it stand at once.
import { Input, Radio } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Project } from '../../shared/types'
import type { StandPlace } from '../queries'

interface Props {
  project: Project
  onStand: (place: StandPlace, reason: string) => void
  onClose: () => void
}

export function IgnoreForm({ project, onStand, onClose }: Props) {
  const { t } = useTranslation()
  const [reason, setReason] = useState('')
  const [place, setPlace] = useState<StandPlace>('here')
  const places: StandPlace[] = project.client ? ['here', 'project', 'client'] : ['here', 'project']
  return (
    <form
      className="stand-form"
      aria-label={t('check.letStand')}
      onSubmit={(event) => {
        event.preventDefault()
        onStand(place, reason)
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return
        event.stopPropagation()
        onClose()
      }}
    >
      <Input
        autoFocus
        size="small"
        aria-label={t('check.reason')}
        placeholder={t('check.reason')}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <Radio.Group
        size="small"
        aria-label={t('check.forHow')}
        value={place}
        options={places.map((value) => ({
          value,
          label: t(`check.places.${value}`, { client: project.client }),
        }))}
        onChange={(event) => setPlace(event.target.value as StandPlace)}
      />
      <button type="submit" className="link small">
        {t('check.letStand')}
      </button>
    </form>
  )
}
