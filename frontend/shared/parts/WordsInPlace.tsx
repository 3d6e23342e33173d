// A list of words, edited as one line with semicolons between; where it says so, patterns between slashes
// too.
import { useTranslation } from 'react-i18next'
import { TextInPlace } from './TextInPlace'

// A pattern may hold a semicolon.
const ITEM = /\s*\/.*?\/i?\s*(?=;|$)|[^;]+/g

interface Props {
  label: string
  words: string[]
  patterns?: boolean
  onChange: (words: string[]) => void
}

export function WordsInPlace({ label, words, patterns, onChange }: Props) {
  const { t } = useTranslation()
  return (
    <TextInPlace
      label={label}
      blank={t(patterns ? 'clients.noPatterns' : 'clients.noWords')}
      value={words.join('; ')}
      onChange={(text) => onChange((text.match(ITEM) ?? []).map((word) => word.trim()).filter(Boolean))}
    />
  )
}
