// The language of the interface: the page is loaded anew in it.
import { Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { api } from '../shared/api'
import { language, LANGUAGE_OPTIONS } from '../shared/i18n'
import { useAct } from '../shared/useAct'

export function LanguageChoice() {
  const { t } = useTranslation()
  const { act } = useAct()
  const choose = (chosen: string) =>
    void act(async () => {
      await api.patch('/settings', { preferences: { language: chosen } })
      window.location.reload()
    })
  return (
    <label className="language-choice">
      {t('account.language')}
      <Select value={language} options={LANGUAGE_OPTIONS} onChange={choose} />
    </label>
  )
}
