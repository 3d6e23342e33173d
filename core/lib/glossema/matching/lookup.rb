# Finds the matches of a segment in several memories, with penalties and in rank order.
#
# A memory is anything that answers
#   candidates(units, content:, floor:, limit:, best_only:) { |candidate| … }, the likeliest first, as many as
#   are asked for;
#     best_only: when it has exact ones it need not look further
#   language_pair → [source tag, target tag]; name, id, penalty
# Known terms are anything that answers translations([source texts]) → {source text => [target texts], …}.
module Glossema
  module Matching
    # A unit as a store gives it. source and target are Contents; attributes is a hash of strings
    # (author, created_at, updated_at, client, subject, project, file, origin, previous, next). guess: about
    # what score it will have, or nil; known_units: what the source is cut into, where that is known.
    Candidate =
      Struct.new(
        :id,
        :source,
        :target,
        :attributes,
        :memory,
        :guess,
        :known_units,
        keyword_init: true
      ) { def units = known_units || Score.units(source) }

    # kind: "context", "exact", "adapted" or "fuzzy"; penalties: array of [reason, points]; raw: the score
    # before them. target: Content offered, its codes those of today's source; changes: what was adapted in it
    # (Adapted::Change).
    Match =
      Struct.new(
        :candidate,
        :kind,
        :score,
        :raw,
        :penalties,
        :differences,
        :target,
        :changes,
        keyword_init: true
      )

    # What is known of the segment looked up. previous and next are the keys of its neighbours,
    # as the memory keeps them in a unit's attributes, or nil; key is that of its text in the file
    # ("menu.save"), or nil.
    Query =
      Struct.new(
        :content,
        :source_lang,
        :target_lang,
        :client,
        :subject,
        :previous,
        :next,
        :key,
        keyword_init: true
      )

    class Lookup
      # Points off a match from a memory of the same languages in other regions.
      OTHER_REGION = 1
      # How far from the score a guess may be.
      SLACK = 5
      # How many candidates are scored at most, for each match wanted and besides.
      TRIED_FOR_EACH_WANTED = 10
      BESIDES = 200
      FULL = 100
      KINDS = %w[context exact adapted fuzzy machine].freeze

      def initialize(memories, terms: nil)
        @memories, @terms = memories, terms
      end

      # query: Query; threshold: lowest score given; limit: how many. Returns Matches, best first.
      def matches(query, threshold: 50, limit: 8)
        units = Score.units(query.content)
        found = @memories.flat_map { |memory| found_in(memory, query, units, threshold, limit) }
        ranked(found, query, units, threshold, limit)
      end

      # query: Query; levels: scores above 0, ascending, of which only is asked which one is reached (as the
      # floors of bands are). Returns a Match of the highest level that any match reaches, not always the best
      # of it, or nil.
      def best(query, levels)
        units = Score.units(query.content)
        found = []
        @memories.each do |memory|
          least = above(found.map(&:score).max || 0, levels)
          found.concat(found_in(memory, query, units, least, 1, levels))
        end
        ranked(found, query, units, levels.first, 1).first
      end

      private

      # What was found, less points for rivals, in rank order.
      def ranked(found, query, units, threshold, limit)
        found = penalise_rivals(found, query).select { |match|
          match.score >= threshold || match.raw == FULL
        }
        found =
          found
            .sort_by { |match| rank(match, query) }
            .uniq { |match| [match.candidate.source.written, match.candidate.target.written] }
            .first(limit)
        @terms ? with_terms(found, query, units) : found
      end

      # The likeliest come first; once there are enough, what is clearly worse than all of them is not worked
      # out, and with levels what reaches no higher one.
      def found_in(memory, query, units, threshold, limit, levels = nil)
        always = constant_penalties(memory, query).sum(&:last)
        list, floor, scored = [], threshold, 0
        most = BESIDES + (TRIED_FOR_EACH_WANTED * limit)
        memory.candidates(
          units,
          content: query.content,
          floor: threshold,
          limit: limit,
          best_only: limit == 1
        ) do |candidate|
          break if candidate.guess && (candidate.guess + SLACK < floor || (scored += 1) > most)

          found = match(query, units, candidate, memory, floor) or next
          list << found
          next if list.size < limit

          last = list.map(&:score).max(limit).last
          # A rival may lose one point more.
          floor = [threshold, (levels ? above(last, levels) : last - 1) + always].max
        end
        list
      end

      def above(score, levels) = levels.find { |level| level > score } || FULL

      # A match that differs in one known term takes today's; its score stays that of the difference.
      def with_terms(found, query, units)
        found.each do |match|
          next unless match.kind == "fuzzy"

          stored = match.candidate.units
          term =
            TermChange.find(
              query.content.text,
              units,
              match.candidate.source.text,
              stored,
              match.candidate.target.text,
              @terms,
              query.source_lang
            ) or next
          target, changes =
            Adapted.target(
              term.today,
              term.stored,
              match.candidate.target,
              [query.source_lang, query.target_lang],
              term: term.place
            )
          match.kind, match.target, match.changes = "adapted", target.fitted(query.content), changes if target
        end
        found.sort_by { |match| rank(match, query) }
      end

      def match(query, units, candidate, memory, threshold)
        stored = candidate.units
        comparison =
          Score.compare(
            query.content,
            candidate.source,
            floor: threshold,
            units_of_a: units,
            units_of_b: stored
          )
        kind, raw, target, changes = judged(query, units, candidate, stored, comparison)
        return unless kind

        comparison ||= Score.compare(query.content, candidate.source, units_of_a: units, units_of_b: stored)
        penalties = penalties(query, candidate, memory, kind)
        candidate.memory = memory
        Match.new(
          candidate: candidate,
          kind: kind,
          raw: raw,
          penalties: penalties,
          score: [raw - penalties.sum(&:last), 0].max,
          differences: comparison.differences,
          target: target.fitted(query.content),
          changes: changes
        )
      end

      # [kind, score before penalties, target, changes], or nil where there is no match.
      def judged(query, units, candidate, stored, comparison)
        if comparison&.score == 100
          return in_context?(query, candidate) ? "context" : "exact", 100, candidate.target, []
        end

        if Adapted.alike?(units, stored, query.source_lang)
          target, changes =
            Adapted.target(units, stored, candidate.target, [query.source_lang, query.target_lang])
          return "adapted", 99, target, changes if target
        end
        ["fuzzy", comparison.score, candidate.target, []] if comparison
      end

      def in_context?(query, candidate)
        return true if query.key.to_s != "" && candidate.attributes["key"] == query.key

        neighbours = candidate.attributes.values_at("previous", "next").map(&:to_s)
        neighbours.any? { |value| value != "" } && neighbours == [query.previous.to_s, query.next.to_s]
      end

      def penalties(query, candidate, memory, kind)
        list = constant_penalties(memory, query)
        list << ["aligned", 1] if candidate.attributes["origin"] == "aligned"
        list << ["machine", 5] if candidate.attributes["origin"] == "machine"
        # Those of an adapted match were fitted.
        list << ["codes", 1] unless kind == "adapted" || shape(query.content) == shape(candidate.source)
        list
      end

      # Those of all units of a memory.
      def constant_penalties(memory, query)
        list = []
        list << ["memory", memory.penalty] if memory.penalty.to_i.positive?
        list << ["region", OTHER_REGION] if memory.language_pair != [query.source_lang, query.target_lang]
        list
      end

      def shape(content) = content.coded? ? content.renumber.codes.map { |code| [code.kind, code.id] } : []

      # Several targets for the same source: all but the best lose a point.
      def penalise_rivals(found, query)
        found
          .group_by { |match| Score.fold(match.candidate.source) }
          .each_value do |rivals|
            next if rivals.map { |match| match.candidate.target.written }.uniq.size < 2

            best = rivals.min_by { |match| [match.kind == "context" ? 0 : 1, *nearness(match, query)] }
            rivals.each do |match|
              next if match.equal?(best) || match.candidate.target.written == best.candidate.target.written

              match.penalties += [["rival", 1]]
              match.score = [match.score - 1, 0].max
            end
          end
        found
      end

      # Rank: context, exact, adapted, then score, then same client, same subject, newest.
      def rank(match, query)
        [KINDS.index(match.kind), -match.score, *nearness(match, query)]
      end

      # Same client, same subject, newest: the less the nearer.
      def nearness(match, query)
        attributes = match.candidate.attributes
        [
          same(attributes["client"], query.client),
          same(attributes["subject"], query.subject),
          -(attributes["updated_at"] || attributes["created_at"]).to_s.tr("^0-9", "").ljust(20, "0")[
            0,
            20
          ].to_i
        ]
      end

      def same(one, other) = !one.to_s.empty? && one == other ? 0 : 1
    end
  end
end
