// What the palette offers in every view: the key of its text, and where it is done.
export type Destination = readonly [id: string, address: string]

export const PLACES: readonly Destination[] = [
  ['app.today', '/'],
  ['projects.title', '/projects'],
  ['projects.new', '/'],
  ['projects.export', '/projects'],
  ['clients.title', '/clients'],
  ['clients.usualRates', '/clients'],
  ['app.memories', '/memories'],
  ['memories.import', '/memories'],
  ['memories.export', '/memories'],
  ['sharing.give', '/memories'],
  ['app.termbases', '/termbases'],
  ['termbases.bring', '/termbases'],
  ['candidates.title', '/termbases'],
  ['count.quick', '/count'],
  ['align.title', '/align'],
  ['keys.change', '/settings/keys'],
  ['account.change', '/settings/account'],
  ['account.language', '/settings/account'],
  ['account.zone', '/settings/account'],
  ['factor.title', '/settings/account'],
]

// Within a project that has begun: added to its address.
export const IN_PROJECT: readonly Destination[] = [
  ['pretranslate.open', 'translate?open=pretranslate'],
  ['replace.title', 'translate?open=replace'],
  ['filter.title', 'translate?open=filter'],
  ['look.title', 'translate?open=look'],
  ['ways.title', 'translate?open=ways'],
  ['check.wordsTitle', 'check/words'],
  ['check.alikeTitle', 'check/alike'],
  ['check.profile.title', 'check/profile'],
  ['review.new', 'review'],
  ['quote.title', 'count'],
  ['references.title', 'brief'],
  ['handOver.asArchive', 'brief'],
  ['template.save', 'brief'],
  ['operations.title', 'brief'],
  ['notes.questions', 'questions'],
]
