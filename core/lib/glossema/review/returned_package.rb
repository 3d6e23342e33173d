# A hand-back: the XLIFF files of a package, read as one.
module Glossema
  module Review
    class ReturnedPackage
      # As Returned answers them.
      attr_reader :id, :rows, :added, :doubled

      # Raises Refused "package-…" and what Bilingual refuses.
      def initialize(bytes, name)
        package = Exchange::Package.new(bytes, name)
        raise Refused.new("package-kind", name: name) unless package.kind == "hand-back"

        @id, @added, @doubled = package.about["token"], [], []
        author, at = package.about.values_at("from", "at")
        texts = package.paths.grep(/\.xlf\z/).map { |path| Bilingual.new(package.part(path), name) }
        @rows = texts.flat_map(&:rows).each do |row|
          row.author ||= author
          row.at ||= at
        end
      end
    end
  end
end
