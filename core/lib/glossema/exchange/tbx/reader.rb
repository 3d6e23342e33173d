# Reads the entries of a TBX file from a stream.
module Glossema
  module Exchange
    module Tbx
      class Reader
        ROOTS = %w[tbx martif].freeze
        ENTRIES = %w[conceptEntry termEntry].freeze
        ATTRIBUTE = /([\w:.-]+)\s*=\s*(?:"([^"]*)"|'([^']*)')/
        SPACES = /\sxmlns:([\w.-]+)\s*=/

        def initialize(source, name)
          io = source.is_a?(String) ? StringIO.new(source.b) : source
          @stream = ElementStream.new(io, name, kind: "tbx", roots: ROOTS, elements: ENTRIES)
          @name, @read = name, 0
        end

        def run
          @stream.each do |raw, line, bytes|
            entry = entry(raw)
            next @stream.fault("an entry has no term", line) if entry.terms.empty?

            @read += 1
            yield entry, bytes
          end
          faults = @stream.faults
          if @read.zero? && faults.any?
            raise Refused.new("damaged.tbx", name: @name, line: faults.first.line,
              reason: faults.first.message)
          end

          { head: head, read: @read, faults: faults }
        end

        private

        # Entries stand under the root's declarations of name spaces.
        def entry(raw)
          text = raw.dup.force_encoding("UTF-8")
          raise Nokogiri::XML::SyntaxError, "the text is not UTF-8" unless text.valid_encoding?

          document = Nokogiri.XML("#{opening}#{text}</glossema>", nil, "UTF-8") { |config|
            config.strict.nonet
          }
          EntryReader.new(document.root.element_children.first).entry
        end

        # An element with the root's attributes, on the line of the entry.
        def opening
          @opening ||= begin
            spaces = root.select { |name, _| name.start_with?("xmlns:") }
            "<glossema#{spaces.map { |name, value| " #{name}=\"#{value}\"" }.join}>"
          end
        end

        def before = @before ||= @stream.head.to_s.dup.force_encoding("UTF-8").scrub

        # Attributes of the root, as they are written there.
        def root
          @root ||=
            before[/<(?:tbx|martif)\b[^>]*>/m].to_s.scan(ATTRIBUTE)
              .to_h { |name, double, single| [name, double || single] }
        end

        # What stands around the entries, to be written again.
        def head
          style = before.match?(/<martif\b/) ? "martif" : root["style"].to_s.downcase
          after = @stream.tail.to_s.dup.force_encoding("UTF-8").scrub
          {
            "style" => STYLES.include?(style) ? style : "dca",
            "root" => root,
            "header" => before[%r{<(tbxHeader|martifHeader)\b.*?</\1\s*>}m],
            "back" => after[%r{<back\b.*</back\s*>}m]
          }.compact
        end
      end
    end
  end
end
