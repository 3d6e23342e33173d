# A web or mail address of the source that is not in the target as it is.
module Glossema
  module Checks
    class LinkChanged < Check
      is "link-changed", group: "links", level: "must-fix"

      ADDRESS = /#{Counting::Tokens::ADDRESS}/

      # Every address holds one of these.
      TELLING = %r{[@/]|www\.}

      def findings(pair)
        return [] unless pair.from.match?(TELLING)

        places(pair.from, ADDRESS).group_by { |match| match[0] }.flat_map do |address, matches|
          there = pair.into.scan(/#{Regexp.escape(address)}(?![\p{L}\p{N}])/).size
          matches.drop(there).map { |match| finding(address: address, source: [match.offset(0)]) }
        end
      end
    end
  end
end
