// A list of words, edited as one line with semicolons between.
import { useTranslation } from 'react-i18next'
import { TextInPlace } from './TextInPlace'

interface Props {
  label: string
  words: string[]
  onChange: (words: string[]) => void
}

export function WordsInPlace({ label, words, onChange }: Props) {
  const { t } = useTranslation()
  return (
    <TextInPlace
      label={label}
      blank={t('clients.noWords')}
      value={words.join('; ')}
      onChange={(text) =>
        onChange(
          text
            .split(/[;\n]/)
            .map((word) => word.trim())
            .filter(Boolean),
        )
      }
    />
  )
}
