# XML of which no part may be declared by the file itself: a document type that is only named is harmless, one
# that declares anything is refused by what the parser found, wherever in the bytes and in whichever encoding
# it stands.
module Glossema
  module Formats
    module GuardedXml
      Declares = Class.new(StandardError)

      module_function

      # bytes: of the file. Returns a Nokogiri document. Raises Declares or Nokogiri::XML::SyntaxError.
      def parse(bytes)
        parsed = Nokogiri.XML(bytes) { |config| config.strict.nonet }
        raise Declares if parsed.internal_subset&.children&.any?

        parsed
      end
    end
  end
end
