// A new memory: its name and its pair of languages.
import { Button, Input } from 'antd'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import type { Attempt } from './useAttempt'

interface Fresh {
  name: string
  source_lang: string | null
  target_lang: string | null
}
const EMPTY: Fresh = { name: '', source_lang: null, target_lang: null }
const PAIR = [
  ['source_lang', 'brief.from'],
  ['target_lang', 'brief.into'],
] as const

export function NewMemory({ attempt }: { attempt: Attempt }) {
  const { t } = useTranslation()
  const [fresh, setFresh] = useState<Fresh | null>(null)
  if (!fresh)
    return (
      <button type="button" className="link" onClick={() => setFresh(EMPTY)}>
        {t('memories.new')}
      </button>
    )
  const make = () =>
    attempt(async () => {
      await api.post('/memories', fresh)
      setFresh(null)
    })
  return (
    <form
      className="new-memory"
      onSubmit={(event) => {
        event.preventDefault()
        make()
      }}
    >
      <Input
        autoFocus
        required
        placeholder={t('memories.name')}
        aria-label={t('memories.name')}
        value={fresh.name}
        onChange={(event) => setFresh({ ...fresh, name: event.target.value })}
      />
      {PAIR.map(([name, label]) => (
        <span key={name}>
          <ChoiceInPlace
            label={t(label)}
            blank={`${t(label)} …`}
            value={fresh[name]}
            options={languageOptions}
            onChange={(tag) => setFresh({ ...fresh, [name]: tag })}
          />
        </span>
      ))}
      <Button
        type="primary"
        htmlType="submit"
        disabled={!fresh.name.trim() || !fresh.source_lang || !fresh.target_lang}
      >
        {t('memories.make')}
      </Button>
    </form>
  )
}
