# One entry of a TBX file, of any style, as a Terms::Entry.
module Glossema
  module Exchange
    module Tbx
      class EntryReader
        SECTIONS = %w[langSec langSet].freeze
        GROUPS = %w[termSec tig ntig].freeze
        # Elements that carry a data category in their type.
        CARRIERS = %w[descrip admin termNote xref ref transac transacNote].freeze
        # Elements that hold one of those and what belongs to it.
        HOLDERS = %w[descripGrp adminGrp termNoteGrp].freeze
        GENDERS = { "masculine" => "m", "feminine" => "f", "neuter" => "n" }.freeze
        STATUS = Regexp.union(Terms::STATUSES)
        ACT = { "act" => "transactionType", "by" => "responsibility", "at" => "date" }.freeze
        LANG = "http://www.w3.org/XML/1998/namespace".freeze

        # node: the element of an entry.
        def initialize(node)
          @node = node
        end

        def entry
          fields = fields(@node, :entry, SECTIONS)
          Terms::Entry.new(
            id: @node["id"],
            sections: children(@node, SECTIONS).map { |node| section(node) },
            **fields
          )
        end

        private

        def section(node)
          fields = fields(node, :section, GROUPS)
          fields.delete(:past)
          tag = node.attribute_with_ns("lang", LANG)&.value || node["lang"]
          terms = children(node, GROUPS).filter_map { |group| term(group) }
          Terms::Section.new(lang: Tbx.language(tag), terms: terms, **fields)
        end

        def term(group)
          inner = if group.name == "ntig"
            group.element_children.find { |child|
              child.name == "termGrp"
            }
          else
            group
          end
          node = inner&.element_children&.find { |child| child.name == "term" }
          return if node.nil? || node.text.strip.empty?

          fields = fields(group, :term, %w[term termGrp])
          fields = merged(fields, fields(inner, :term, ["term"])) unless inner.equal?(group)
          extras = fields.delete(:extras).to_a + named(group, "group") + named(node, "term")
          Terms::Term.new(
            text: node.text.strip.unicode_normalize(:nfc),
            **typed(fields),
            extras: extras.empty? ? nil : extras
          )
        end

        def merged(one, other) =
          one.merge(other) { |_, mine, theirs| mine.is_a?(Array) ? mine + theirs.to_a : mine || theirs }

        def typed(fields)
          fields[:status] = fields[:status]&.slice(STATUS)
          %i[forbidden cased].each { |name| fields[name] = fields[name] == "yes" if fields[name] }
          fields[:gender] = GENDERS.fetch(fields[:gender], fields[:gender])
          fields[:recognise] = nil unless Terms::RECOGNITIONS.include?(fields[:recognise])
          fields
        end

        # Ids and the like of an element, kept.
        def named(node, where)
          rest = node.attribute_nodes.to_h { |one| [one.node_name, one.value] }
          rest.empty? ? [] : [{ "on" => where, "attributes" => rest }]
        end

        def children(node, names) = node.element_children.select { |child| names.include?(child.name) }

        # {field => text} of what is said at a place, with all else in :extras and the acts in :past.
        def fields(node, where, apart)
          found = {}
          node.element_children.each do |child|
            next if apart.include?(child.name)

            take(child, where, found)
          end
          # In the order in which they are written.
          extras = found[:extras]&.partition { |one| one["holds"] }&.flatten(1)
          { **found, past: found[:past], extras: extras }
        end

        def take(child, where, found)
          if (act = act(child))
            return (found[:past] ||= []) << act
          end

          held = held(child)
          field = held && FIELDS[where][category(held)]
          value = held && value(held, field)
          return keep(child, found) unless ours?(field, value, found)

          found[field] = value
          keep(child, found, field) unless held.equal?(child) && plain?(child)
        end

        # Have we a free place for it?
        def ours?(field, value, found)
          return false if field.nil? || found.key?(field) || value.empty?

          field != :status || value.match?(STATUS)
        end

        # The element with a data category, in whatever holds it.
        def held(child)
          return child unless HOLDERS.include?(child.name)

          child.element_children.find { |one| CARRIERS.include?(one.name) || one.namespace&.prefix }
        end

        def category(node) = CARRIERS.include?(node.name) ? node["type"] : node.name

        def value(node, field)
          target = node["target"] if field == :picture
          (target || node.text).strip
        end

        # Has it nothing that we would lose?
        def plain?(node)
          (node.attribute_nodes.map(&:node_name) - %w[type target]).empty? && node.element_children.empty? &&
            (node["target"].nil? || node.name.match?(/xref|xGraphic/))
        end

        def keep(child, found, field = nil)
          (found[:extras] ||= []) << { "xml" => xml(child), **(field ? { "holds" => field.to_s } : {}) }
        end

        # Without the declarations of name spaces, which stand at the root.
        def xml(node) = node.to_xml(save_with: 0).gsub(/ xmlns(?::\w+)?="[^"]*"/, "")

        # Who did what when, where a group says no more than that.
        def act(child)
          return unless child.name == "transacGrp"

          parts = child.element_children.to_h { |one| [one.name == "date" ? "date" : category(one), one] }
          said = parts.values.flat_map { |one| one.attribute_nodes.map(&:node_name) }
          return if (parts.keys - ACT.values).any? || (said - %w[type]).any?

          ACT.transform_values { |name| parts[name] }.compact.transform_values { |node| node.text.strip }
        end
      end

      # A tag as we write tags: "en_us" → "en-US". What is none stays as it is.
      def self.language(tag)
        parts = tag.to_s.strip.tr("_", "-").split("-")
        return "und" if parts.empty?

        rest =
          parts.drop(1).map do |part|
            case part.length
            when 2 then part.upcase
            when 4 then part.match?(/\A[A-Za-z]+\z/) ? part.capitalize : part
            else part.downcase
            end
          end
        [parts.first.downcase, *rest].join("-")
      end
    end
  end
end
