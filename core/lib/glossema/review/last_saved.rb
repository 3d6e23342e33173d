# Who saved an office document last, and when, as it says itself.
module Glossema
  module Review
    class LastSaved
      # container: Formats::Container
      def initialize(container)
        @part = container.xml("docProps/core.xml")
      end

      def author = text_of("lastModifiedBy")
      # ISO 8601, or nil.
      def at = text_of("modified")

      private

      def text_of(name)
        text = @part&.at_xpath("//*[local-name() = '#{name}']")&.text.to_s.strip
        text.empty? ? nil : text
      end
    end
  end
end
