// A rate card being written: what is wrong is said at its field, and everything else is kept.
import { useQueryClient } from '@tanstack/react-query'
import { Button, Form, Input, Select } from 'antd'
import { useTranslation } from 'react-i18next'
import { percentOf } from '../count/figures'
import { amountOf, shareOf, USUAL } from '../count/useRates'
import { keys } from '../shared/queryKeys'
import { BANDS, type Band, type RateCard, type Rates } from '../shared/types'
import { useAct } from '../shared/useAct'
import { currencies, UNITS } from './choices'
import { Amount, Language, weightChecked } from './RateFields'
import { keepCard } from './queries'

interface Props {
  client: number | null
  card?: RateCard
  close: () => void
}

type Written = Omit<Rates, 'weights'> & {
  source_lang: string
  target_lang: string
  weights: Record<Band, string>
}

const weightsOf = (rates: Rates) =>
  Object.fromEntries(BANDS.map((band) => [band, percentOf(rates.weights?.[band] || '1')])) as Record<
    Band,
    string
  >

// What was written → what is kept: decimal points, shares of one.
function ratesOf({ source_lang: _source, target_lang: _target, ...written }: Written): Rates {
  const plain = (text?: string) => amountOf(text ?? '')
  const rush = written.rush ? (shareOf(written.rush) ?? written.rush) : ''
  return {
    ...written,
    rate: plain(written.rate),
    minimum: plain(written.minimum),
    rounding: plain(written.rounding),
    page_characters: plain(written.page_characters),
    rush,
    weights: Object.fromEntries(BANDS.map((band) => [band, shareOf(written.weights[band]) ?? ''])),
  }
}

export function RateForm({ client, card, close }: Props) {
  const { t } = useTranslation()
  const cache = useQueryClient()
  const { act, busy } = useAct()
  const [form] = Form.useForm<Written>()
  const rates = { ...USUAL, ...card?.rates }
  const paidBy = Form.useWatch('unit', form) ?? rates.unit
  const initial: Partial<Written> = {
    ...rates,
    rush: percentOf(rates.rush || '0'),
    weights: weightsOf(rates),
    source_lang: card?.source_lang,
    target_lang: card?.target_lang,
  }
  const keep = (written: Written) =>
    void act(async () => {
      const { source_lang, target_lang } = written
      await keepCard({ id: card?.id, client_id: client, source_lang, target_lang, rates: ratesOf(written) })
      await cache.invalidateQueries({ queryKey: keys.rateCards(client) })
      close()
    })
  return (
    <Form<Written>
      form={form}
      requiredMark={false}
      className="rate-form"
      layout="vertical"
      size="small"
      initialValues={initial}
      onFinish={keep}
    >
      <div className="fields">
        <Language name="source_lang" label={t('brief.from')} />
        <Language name="target_lang" label={t('brief.into')} />
        <Amount name="rate" label={t('quote.rate')} required />
        <Form.Item name="unit" label={t('quote.unit')}>
          <Select options={UNITS.map((unit) => ({ value: unit, label: t(`quote.units.${unit}`) }))} />
        </Form.Item>
        <Form.Item name="currency" label={t('quote.currency')}>
          <Select showSearch={{ optionFilterProp: 'label' }} options={currencies} />
        </Form.Item>
        <Amount name="minimum" label={t('quote.minimum')} />
        <Amount name="rounding" label={t('quote.rounding')} />
        <Amount name="rush" label={t('quote.rush')} />
        {paidBy === 'page' && <Amount name="page_characters" label={t('clients.pageCharacters')} />}
      </div>
      <fieldset className="fields weights">
        <legend className="small quiet">{t('clients.weights')}</legend>
        {BANDS.map((band) => (
          <Form.Item
            key={band}
            name={['weights', band]}
            label={t(`bandNames.${band}`)}
            rules={[
              { validator: (_, value: string) => weightChecked(value, t('quote.wrong.weight', { value })) },
            ]}
          >
            <Input />
          </Form.Item>
        ))}
      </fieldset>
      <p className="presses">
        <Button type="primary" htmlType="submit" loading={busy}>
          {t('clients.keepRates')}
        </Button>
        <button type="button" className="plain-link" onClick={close}>
          {t('clients.leaveRates')}
        </button>
      </p>
    </Form>
  )
}
