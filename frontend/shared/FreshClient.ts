// Answers that were asked for before something changed are asked for again. The library does so only where an
// answer stands already: news that comes while the first one is on its way would be lost.
import {
  QueryClient,
  type InvalidateOptions,
  type InvalidateQueryFilters,
  type Query,
} from '@tanstack/react-query'

export class FreshClient extends QueryClient {
  private readonly waiting = new WeakSet<Query>()

  override invalidateQueries(...[filters, options]: [InvalidateQueryFilters?, InvalidateOptions?]) {
    for (const query of this.getQueryCache().findAll(filters)) if (onItsWay(query)) this.askAfterwards(query)
    return super.invalidateQueries(filters, options)
  }

  private askAfterwards(query: Query) {
    if (this.waiting.has(query)) return
    this.waiting.add(query)
    const again = () => {
      this.waiting.delete(query)
      void super.invalidateQueries({ queryKey: query.queryKey, exact: true })
    }
    query.fetch().then(again, again)
  }
}

const onItsWay = ({ state }: Query) => state.data === undefined && state.fetchStatus === 'fetching'
