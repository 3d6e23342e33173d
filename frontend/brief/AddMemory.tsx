// A memory chosen for the project from those of its pair, or made on the spot.
import { useTranslation } from 'react-i18next'
import { number } from '../shared/i18n'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import type { Memory, Project } from '../shared/types'
import { otherPair } from './otherPair'

interface Props {
  project: Project
  free: Memory[]
  onAdd: (memory: Memory) => void
  onMake: (name: string) => void
}

export function AddMemory({ project, free, onAdd, onMake }: Props) {
  const { t } = useTranslation()
  const described = (memory: Memory) => {
    const units = t('brief.units', { count: memory.units, units: number(memory.units) })
    return [memory.name, units, otherPair(memory, project)].filter(Boolean).join(' · ')
  }
  return (
    <ChoiceInPlace
      label={t('brief.addMemory')}
      blank={t('brief.addMemory')}
      value={null}
      options={free.map((memory) => ({ value: String(memory.id), label: described(memory) }))}
      onChange={(value) => {
        const memory = free.find((one) => String(one.id) === value)
        if (memory) onAdd(memory)
      }}
      onAdd={onMake}
      addLabel={(name) => t('brief.add', { name })}
    />
  )
}
