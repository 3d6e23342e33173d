# XLIFF 1.2, 2.0 and 2.1: segments with the translations, states, notes, limits and other matches they bring
# along; codes of every kind. What is not known is kept to the byte.
require "glossema/formats/markup/xml"

module Glossema
  module Formats
    class Xliff < Xml
      Formats.announce(self, rank: 20)

      NAME = "XLIFF".freeze
      EXTENSIONS = %w[xlf xliff].freeze
      MEDIA_TYPE = "application/xliff+xml".freeze
      DEFAULTS = { "encoding" => "" }.freeze
      # What their states are here, and what ours are there.
      STATES_12 = {
        "new" => "untouched",
        "needs-translation" => "draft",
        "needs-adaptation" => "draft",
        "needs-l10n" => "draft",
        "needs-review-translation" => "draft",
        "needs-review-adaptation" => "draft",
        "needs-review-l10n" => "draft",
        "translated" => "translated",
        "signed-off" => "reviewed",
        "final" => "final"
      }.freeze
      STATES_2 = {
        "initial" => "draft",
        "translated" => "translated",
        "reviewed" => "reviewed",
        "final" => "final"
      }.freeze
      OURS_12 = {
        "untouched" => "new",
        "draft" => "needs-translation",
        "translated" => "translated",
        "reviewed" => "signed-off",
        "final" => "final"
      }.freeze
      OURS_2 = {
        "untouched" => "initial",
        "draft" => "initial",
        "translated" => "translated",
        "reviewed" => "reviewed",
        "final" => "final"
      }.freeze

      def self.recognises?(bytes, _name)
        EncodedText.text?(bytes) &&
          EncodedText.head(bytes).match?(
            /\A\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*|<!DOCTYPE[^>]*>\s*)*<(?:[\w.-]+:)?xliff\b/m
          )
      end

      def bilingual? = true

      def source_language = language("source-language", "srcLang")
      def target_language = language("target-language", "trgLang")

      def preview
        units
          .chunk_while { |one, other| one.location == other.location }
          .map { |group| "<p>#{group.map { |unit| yield unit }.join(" ")}</p>" }
          .join("\n")
      end

      private

      def preset = nil
      def root = tree.elements.first
      def second? = @second ||= root["version"].to_s.start_with?("2")

      def language(old, new)
        tag = second? ? root[new] : files.first&.[](old)
        tag if tag && Languages.valid?(tag)
      end

      def files = root.all("file")
      def in_order(list) = list

      def settle = @ids = Hash.new(0)

      # Not by runs of text, as other markup: by the segments of the file.
      def walk(_tree, _context)
        unless root["version"].to_s.match?(/\A(?:1\.[0-2]|2\.\d)/)
          raise Refused.new("format-unknown.xliff", name: @name, version: root["version"])
        end

        @languages_at = second? ? [root] : files
        free_language
        files.each_with_index do |file, index|
          if second?
            walk_second(file, "f#{index + 1}", true)
          else
            walk_first(file, "f#{index + 1}", file["original"])
          end
        end
      end

      # Where the target language stands.
      def free_language
        @languages_at.each { |node| free_attribute(node, second? ? "trgLang" : "target-language") }
      end

      # An attribute that may change or come and go is left out of comparisons.
      def free_attribute(node, name)
        raw = node.open_raw
        return unless raw.include?(name)

        match = raw.match(/\s+#{name}\s*=\s*(?:"[^"]*"|'[^']*')/) or return
        from = node.from + match.pre_match.bytesize
        @free << [from, from + match[0].bytesize]
      end

      # White space around elements comes with those that are added.
      public def skeleton = super.gsub(/>\s+</, "><")

      def further_edits(_contents, target_language)
        return [] unless target_language

        @languages_at.filter_map do |node|
          name = second? ? "trgLang" : "target-language"
          _, from, to = node.attributes[name]
          next from, to, target_language if from && !Languages.same?(node[name], target_language)

          [node.open_to - 1, node.open_to - 1, " #{name}=\"#{target_language}\""] unless from
        end
      end

      # --- 1.2 ---

      def walk_first(node, prefix, path)
        node.each_element do |unit|
          next unless unit.local == "trans-unit" && translated?(unit)

          first_unit(unit, prefix, path)
        end
      end

      def translated?(unit)
        while unit
          return false if unit["translate"] == "no"

          unit = unit.parent
        end
        true
      end

      def first_unit(unit, prefix, path)
        source, target = unit.child("source"), unit.child("target")
        return unless source

        id = unique("#{prefix}-#{unit["id"]}")
        notes = [*unit.all("note"), *notes_of(unit.parent)].map { |note| note.inner_text.strip }
        limit = unit["maxwidth"].to_i if unit["size-unit"].to_s == "char" && unit["maxwidth"]
        facts = {
          note: notes.reject(&:empty?).join(" · "),
          limit: limit,
          key: unit["resname"] || unit["id"],
          location: Location.named([path, unit["resname"]].compact.join(" · "))
        }
        free_attribute(unit, "approved")
        segmented = unit.child("seg-source")
        return segments_first(unit, segmented, target, id, facts) if segmented && marks(segmented).any?

        state = unit["approved"] == "yes" ? "final" : STATES_12[target&.[]("state").to_s]
        take(id, source, target, facts, state, alternatives_first(unit, source)) do |content, wanted|
          edits_first(unit, source, target, content, wanted)
        end
      end

      # Notes of a group, for all of its units.
      def notes_of(node) = (@notes ||= {}.compare_by_identity)[node] ||= node.all("note")

      def alternatives_first(unit, source)
        unit
          .all("alt-trans")
          .filter_map do |match|
            target = match.child("target") or next
            own = match.child("source") || source
            score = match["match-quality"].to_s[/\d+/]&.to_i
            raws = {}
            codes = read(own, raws)
            Alternative.new(
              source: codes,
              target: like(target, codes, raws),
              score: score,
              origin: match["origin"] || match["tool-id"]
            )
          end
      end

      def marks(node) = node.every("mrk").select { |mark| mark["mtype"] == "seg" }

      # Each mrk of the segmented source is a unit of its own; the target holds one mrk for each.
      def segments_first(unit, segmented, target, id, facts)
        given = target ? marks(target).to_h { |mark| [mark["mid"], mark] } : {}
        whole = marks(segmented)
        whole.each do |mark|
          twin = given[mark["mid"]]
          state = unit["approved"] == "yes" ? "final" : STATES_12[target&.[]("state").to_s]
          alternatives = alternatives_first(unit, mark).select { |one| one.source.text == mark.inner_text }
          take("#{id}.#{mark["mid"]}", mark, twin, facts, state, alternatives) do |content, wanted|
            if twin
              [
                [twin.inner_from, twin.inner_to, markup(content)],
                *state_edits(target, "state", OURS_12[wanted])
              ]
            else
              {
                unit: unit,
                mark: mark,
                segmented: segmented,
                target: target,
                content: content,
                state: wanted
              }
            end
          end
        end
        # The target as a whole is free: what stands between its segments is copied from the source.
        @free << (target ? [target.from, target.to] : [segmented.to, segmented.to])
      end

      def edits_first(unit, source, target, content, wanted)
        inner = markup(content)
        if target&.close_from
          return [
            [target.open_to, target.inner_to, inner],
            *state_edits(target, "state", OURS_12[wanted]),
            *approval_edits(unit, wanted)
          ]
        end

        made =
          "<#{prefixed(unit, "target")}#{wanted ? " state=\"#{OURS_12[wanted]}\"" : ""}>#{inner}" \
            "</#{prefixed(unit, "target")}>"
        return [[target.from, target.to, made]] if target

        after = unit.child("seg-source") || source
        [[after.to, after.to, "#{gap_before(source)}#{made}"]]
      end

      # --- 2.0 and 2.1 ---

      def walk_second(node, prefix, translate)
        translate = node["translate"] != "no" if node["translate"]
        node.elements.each do |child|
          case child.local
          when "group"
            walk_second(child, prefix, translate)
          when "unit"
            second_unit(child, prefix, child["translate"] ? child["translate"] != "no" : translate)
          end
        end
      end

      def second_unit(unit, prefix, translate)
        return unless translate

        holder = unit
        notes = []
        while holder&.name != ""
          notes.concat(holder.child("notes")&.all("note").to_a.map { |note| note.inner_text.strip })
          holder = holder.parent
        end
        limit =
          unit.attributes.find { |name, _| name.end_with?(":sizeRestriction") }&.last&.first.to_s[
            /\d+\z/
          ]&.to_i
        data = unit.child("originalData")&.all("data").to_a.to_h { |one| [one["id"], one.inner_text] }
        unit
          .all("segment")
          .each_with_index do |segment, index|
            source, target = segment.child("source"), segment.child("target")
            next unless source

            @data = data
            free_attribute(segment, "state")
            facts = {
              note: notes.reject(&:empty?).join(" · "),
              limit: limit,
              key: unit["name"] || unit["id"],
              location: unit["name"] ? Location.named(unit["name"]) : Location.new("unit", number: unit["id"])
            }
            state = target && (STATES_2[segment["state"].to_s] || "draft")
            take(
              unique("#{prefix}-#{unit["id"]}.#{segment["id"] || index + 1}"),
              source,
              target,
              facts,
              state,
              alternatives_second(unit, segment, source)
            ) { |content, wanted| edits_second(segment, source, target, content, wanted) }
          end
      end

      # Matches of the module for them, those that point at this segment or at the unit as a whole.
      def alternatives_second(unit, segment, source)
        (unit.child("matches")&.all("match")).to_a.filter_map do |match|
          reference = match["ref"].to_s.delete_prefix("#")
          unless [segment["id"], unit["id"], ""].include?(reference) ||
              source.every("mrk").any? { |mark| mark["id"] == reference }
            next
          end

          target = match.child("target") or next
          raws = {}
          codes = read(match.child("source") || source, raws)
          Alternative.new(
            source: codes,
            target: like(target, codes, raws),
            score: (match["similarity"] || match["matchQuality"]).to_s[/\d+/]&.to_i,
            origin: match["origin"] || match["type"]
          )
        end
      end

      def edits_second(segment, source, target, content, wanted)
        inner = markup(content)
        states = state_edits(segment, "state", OURS_2[wanted])
        return [target.open_to, target.inner_to, inner], *states if target&.close_from

        name = prefixed(segment, "target")
        space = source.open_raw[/xml:space\s*=\s*["']preserve["']/]
        made = "<#{name}#{" #{space}" if space}>#{inner}</#{name}>"
        [
          target ? [target.from, target.to, made] : [source.to, source.to, "#{gap_before(source)}#{made}"],
          *states
        ]
      end

      # --- both ---

      def take(id, source, target, facts, state, alternatives, &edits)
        raws = {}
        content = read(source, raws)
        return if content.text.strip.empty? && content.codes.none? { |code| code.type == "placeholder" }

        given = target && target.inner_text.strip != "" ? like(target, content, raws) : nil
        state = nil unless given
        state = "draft" if given && (state.nil? || state == "untouched")
        unit =
          Unit.new(
            id: id,
            location: facts[:location],
            block: "paragraph",
            content: content,
            note: facts[:note].to_s.empty? ? nil : facts[:note],
            limit: facts[:limit],
            key: facts[:key],
            target: given,
            state: state,
            alternatives: alternatives.empty? ? nil : alternatives,
            whole: true
          )
        unit_raws = raws
        from, to = target ? [target.from, target.to] : [source.to, source.to]
        @free << [from, to]
        @places << Place.new(
          unit: unit,
          from: from,
          to: to,
          write:
            lambda do |wanted, wanted_state|
              @raws = unit_raws
              edits.call(wanted, wanted_state)
            end
        )
      end

      def unique(id) = (@ids[id] += 1) > 1 ? "#{id}~#{@ids[id]}" : id
      def prefixed(node, name) = node.name.include?(":") ? "#{node.name.split(":").first}:#{name}" : name

      # The white space a new element is set off with.
      def gap_before(node)
        before = node.parent.children.take_while { |one| !one.equal?(node) }.last
        before&.kind == :text && blank_text?(before) ? before.raw : ""
      end

      def state_edits(node, name, value)
        return [] unless value

        _, from, to = node.attributes[name]
        ends = node.open_to - (node.open_raw.end_with?("/>") ? 2 : 1)
        return [] if node[name] == value || (from.nil? && name == "state" && second? && value == "initial")

        [from ? [from, to, value] : [ends, ends, " #{name}=\"#{value}\""]]
      end

      # An approval goes when the translation is not final any more.
      def approval_edits(unit, wanted)
        _, from, to = unit.attributes["approved"]
        return [] unless from && unit["approved"] == "yes" && wanted != "final"

        [[from, to, "no"]]
      end

      # Writing where several segments share one target that is not there yet puts them into it together.
      public def write(contents, target_language: nil, states: {})
        @inner = nil
        edits, shared = [], {}
        @places
          .select { |place| contents.key?(place.unit.id) }
          .each do |place|
            done = place.write.call(contents[place.unit.id], states[place.unit.id])
            done.is_a?(Hash) ? (shared[done[:unit]] ||= []) << done : edits.concat(done)
          end
        shared.each { |unit, parts| edits.concat(target_of_segments(unit, parts, edits)) }
        edits.concat(further_edits(contents, target_language)) if contents.any?
        edits.uniq!
        edits.empty? ? @bytes : encode(replaced(0, @text.bytesize, edits))
      end

      def target_of_segments(unit, parts, edits)
        segmented, target = parts.first.values_at(:segmented, :target)
        by_mid = parts.to_h { |part| [part[:mark]["mid"], part] }
        # Segments the target has already keep their text, as it is now.
        have = target ? marks(target).to_h { |mark| [mark["mid"], replaced(mark.from, mark.to, edits)] } : {}
        inner =
          segmented
            .children
            .map do |node|
              next node.raw unless node.element? && node["mtype"] == "seg"
              next have[node["mid"]] if have[node["mid"]]

              part = by_mid[node["mid"]] or next "#{node.open_raw.sub(%r{/>\z}, ">")}#{node.close_raw}"
              @raws = part_raws(node)
              "#{node.open_raw}#{markup(part[:content])}#{node.close_raw}"
            end
            .join
        state = OURS_12[parts.first[:state]]
        edits.reject! { |from, to, _| target && from >= target.from && to <= target.to }
        made =
          "<#{prefixed(unit, "target")}#{" state=\"#{state}\"" if state}>#{inner}" \
            "</#{prefixed(unit, "target")}>"
        if target
          [[target.from, target.to, made]]
        else
          [[segmented.to, segmented.to, "#{gap_before(segmented)}#{made}"]]
        end
      end

      def part_raws(node)
        raws = {}
        read(node, raws)
        raws
      end

      # What stands in a source or target as a Content; raws: {key => original text or [opening, closing]}.
      def read(node, raws)
        items, opened = [], {}
        collect(node.children, items, raws, opened)
        Content.new(items).well_formed.renumber
      end

      def collect(nodes, items, raws, opened)
        nodes.each do |node|
          if node.text?
            items << node.decoded
          elsif !node.element?
            next
          else
            code(node, items, raws, opened)
          end
        end
      end

      def code(node, items, raws, opened)
        case node.local
        when "g", "pc", "hi"
          pair(node, items, raws, opened)
          # Marks of the standard that stand around text without being codes: comments and terms stay,
          # segments are taken apart.
        when "mrk"
          if node["translate"] == "no" || node["mtype"] == "protected"
            alone(node, items, raws, "placeholder", node.inner_text)
          else
            pair(node, items, raws, opened)
          end
        when "bpt", "sc"
          opening(node, items, raws, opened)
        when "ept", "ec"
          closing(node, items, raws, opened)
        when "cp"
          items << [node["hex"].to_s.hex].pack("U")
        when "sm", "em"
          alone(node, items, raws, "anchor-#{node.local == "sm" ? "start" : "end"}", "")
        when "sub"
          nil
        else
          alone(node, items, raws, type_of(node), shown(node))
        end
      end

      def pair(node, items, raws, opened)
        return alone(node, items, raws, "placeholder", shown(node)) if node.close_from.nil?

        key = unique_key("#{node.local}#{number(node)}", raws)
        raws[key] = [node.open_raw, node.close_raw]
        looks = looks_of(node)
        items << Code.new(
          id: 0,
          kind: :open,
          key: key,
          type: looks == "link" ? "link" : "format",
          display: shown(node),
          equiv: "",
          wrap: key,
          css: looks
        )
        collect(node.children, items, raws, opened)
        items << Code.new(
          id: 0,
          kind: :close,
          key: key,
          type: "format",
          display: shown(node),
          equiv: "",
          wrap: key,
          css: looks
        )
      end

      def opening(node, items, raws, opened)
        key = unique_key("b#{number(node)}", raws)
        opened[node.local == "bpt" ? tie(node) : node["id"]] = [key, items.size]
        raws[key] = node.raw
        looks = looks_of(node)
        items << Code.new(
          id: 0,
          kind: :alone,
          key: key,
          type: "format",
          display: shown(node),
          equiv: equivalent(node),
          wrap: key,
          css: looks
        )
      end

      # What a code is called in source and target alike, and what ties the two ends of a pair.
      def number(node) = node["id"] || node["mid"]
      def tie(node) = node["rid"] || node["id"]

      # What opens and closes in one text is a pair; one without the other stands alone.
      def closing(node, items, raws, opened)
        name = node.local == "ept" ? tie(node) : (node["startRef"] || node["id"])
        key, at = opened.delete(name)
        return alone(node, items, raws, "format", shown(node)) unless key

        raws[key] = [raws[key], node.raw]
        items[at] = items[at].with(kind: :open)
        items << items[at].with(kind: :close)
      end

      def alone(node, items, raws, type, display)
        key = unique_key("#{node.local}#{number(node)}", raws)
        raws[key] = node.raw
        items << Code.new(
          id: 0,
          kind: :alone,
          key: key,
          type: type,
          display: display.to_s[0, 40],
          equiv: equivalent(node),
          wrap: key
        )
      end

      def unique_key(key, raws)
        counts = (@key_counts ||= {}.compare_by_identity)[raws] ||= Hash.new(1)
        found = key
        found = "#{key}~#{counts[key] += 1}" while raws.key?(found)
        found
      end

      def type_of(node)
        return "break" if node["ctype"] == "lb" || node["subType"] == "xlf:lb"

        "placeholder"
      end

      def equivalent(node)
        return "\n" if type_of(node) == "break"

        (node["equiv-text"] || node["equiv"]).to_s.then { |text| text.match?(/\A<[^>]*>\z/) ? "" : text }
      end

      def looks_of(node)
        kind = [node["ctype"], node["subType"], node["type"]].compact.join(" ")
        found =
          {
            "bold" => /bold|:b\b/,
            "italic" => /ital|:i\b/,
            "underline" => /underlin|:u\b/,
            "link" => /link/
          }.find { |_, pattern| kind.match?(pattern) }&.first
        found.to_s
      end

      def shown(node)
        words = looks_of(node)
        return words unless words.empty?
        return "line break" if type_of(node) == "break"

        text =
          node["disp"] || node["dispStart"] || node["equiv-text"] || node["equiv"] ||
          @data.to_h[node["dataRef"] || node["dataRefStart"]] || node["ctype"] || node.inner_text
        text = "code #{node["id"]}" if text.to_s.strip.empty?
        text[0, 40]
      end

      # A target as a Content with the codes of the source; what the source lacks is left out.
      def like(node, source, _raws)
        own = {}
        found = read(node, own)
        known = source.codes.to_h { |code| [[code.key, code.open? || code.close?], code] }
        Content.new(
          found.items.filter_map do |item|
            item.is_a?(String) ? item : known[[item.key, !item.alone?]]&.with(kind: item.kind)
          end
        ).well_formed
      end

      def markup(content)
        content
          .well_formed
          .items
          .map do |item|
            next Markup.escape(item) if item.is_a?(String)

            raw = @raws.fetch(item.key)
            next raw unless raw.is_a?(Array)

            item.close? ? raw.last : raw.first
          end
          .join
      end
    end
  end
end
