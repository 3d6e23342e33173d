// A content with its codes as tokens, to read.
import { useTranslation } from 'react-i18next'
import { parts } from '../shared/content'
import type { Code } from '../shared/types'

export function Written({ value, codes }: { value: string; codes: Code[] }) {
  const { t } = useTranslation()
  return <>{parts(value).map((part, index) => {
    if ('text' in part) return part.text
    const display = codes.find((code) => code.id === part.id)?.display ?? ''
    return <span key={index} className={`token ${part.kind}`} title={t('translate.code', { id: part.id, display })}>{part.kind === 'close' ? `/${part.id}` : part.id}<span className="hidden-text">{display}</span></span>
  })}</>
}
