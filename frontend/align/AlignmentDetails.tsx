// The languages of an alignment, and the client and subject field that its units will carry.
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { makeClient, useClients } from '../brief/queries'
import { languageOptions } from '../shared/languages'
import { ChoiceInPlace } from '../shared/parts/ChoiceInPlace'
import { TextInPlace } from '../shared/parts/TextInPlace'
import { keys } from '../shared/queryKeys'
import type { Alignment } from '../shared/types'
import { useAct } from '../shared/useAct'
import { changeAlignment, SIDES } from './queries'

export function AlignmentDetails({ alignment }: { alignment: Alignment }) {
  const { t } = useTranslation()
  const { act } = useAct()
  const cache = useQueryClient()
  const { data: clients = [], refetch } = useClients()
  const keep = async (fields: object) => {
    await changeAlignment(alignment.id, fields)
    await cache.invalidateQueries({ queryKey: keys.alignment(alignment.id) })
  }
  const change = (fields: object) => void act(() => keep(fields))
  const add = (name: string) =>
    void act(async () => {
      await keep({ client_id: (await makeClient(name)).id })
      await refetch()
    })
  return (
    <>
      {SIDES.map((side, index) => (
        <span key={side}>
          {index > 0 && ' → '}
          <ChoiceInPlace
            label={t(`align.language.${side}`)}
            blank=""
            value={alignment[`${side}_lang`]}
            options={languageOptions}
            onChange={(tag) => change({ [`${side}_lang`]: tag })}
          />
        </span>
      ))}
      {' · '}
      <ChoiceInPlace
        label={t('align.client')}
        blank={t('align.noClient')}
        value={alignment.client_id === null ? null : String(alignment.client_id)}
        options={clients.map(({ id, name }) => ({ value: String(id), label: name }))}
        onChange={(value) => change({ client_id: Number(value) })}
        onAdd={add}
        addLabel={(name) => t('brief.add', { name })}
      />
      {' · '}
      <TextInPlace
        label={t('align.subject')}
        blank={t('align.noSubject')}
        value={alignment.subject}
        onChange={(subject) => change({ subject })}
      />
    </>
  )
}
