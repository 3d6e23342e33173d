// From which language into which, each changed in place.
import { useTranslation } from 'react-i18next'
import { languageOptions } from '../languages'
import { ChoiceInPlace } from './ChoiceInPlace'

interface Props {
  source: string
  target: string | null
  onSource: (tag: string) => void
  onTarget: (tag: string) => void
}

export function TwoLanguages({ source, target, onSource, onTarget }: Props) {
  const { t } = useTranslation()
  const [from, into] = [t('languages.from'), t('languages.into')]
  return (
    <>
      <ChoiceInPlace label={from} blank={from} value={source} options={languageOptions} onChange={onSource} />{' '}
      →{' '}
      <ChoiceInPlace label={into} blank={into} value={target} options={languageOptions} onChange={onTarget} />
    </>
  )
}
