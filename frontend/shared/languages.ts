// Languages by name: the tags worth offering, named by the browser's own CLDR data.
import { ours } from './i18n'

export const { languageName } = ours

const TAGS =
  `af ar ar-EG ar-SA bg bg-BG bn ca ca-ES cs cs-CZ cy da da-DK de de-AT de-CH de-DE el el-GR en en-AU en-CA en-GB en-IE en-IN en-NZ en-US en-ZA
es es-AR es-CL es-CO es-ES es-MX et et-EE eu fa fi fi-FI fr fr-BE fr-CA fr-CH fr-FR ga gl he he-IL hi hi-IN hr hr-HR hu hu-HU hy id id-ID is it it-CH it-IT
ja ja-JP ka kk km ko ko-KR lo lt lt-LT lv lv-LV mk ms mt nb nb-NO nl nl-BE nl-NL nn no pl pl-PL pt pt-BR pt-PT ro ro-RO ru ru-RU sk sk-SK sl sl-SI sq sr sr-RS
sv sv-FI sv-SE sw ta th th-TH tr tr-TR uk uk-UA ur uz vi vi-VN zh zh-Hans-CN zh-Hant-HK zh-Hant-TW`.split(
    /\s+/,
  )

export const languageOptions = TAGS.map((tag) => ({
  value: tag,
  label: languageName(tag),
  search: `${languageName(tag)} ${tag}`.toLowerCase(),
})).toSorted((one, other) => one.label.localeCompare(other.label))

const RIGHT_TO_LEFT = /^(ar|fa|he|ur|yi|ps|sd|ug|dv|ckb)\b/
export const direction = (tag: string | null | undefined): 'rtl' | 'ltr' =>
  tag && RIGHT_TO_LEFT.test(tag) ? 'rtl' : 'ltr'
