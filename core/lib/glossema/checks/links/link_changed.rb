# A web or mail address of the source that is not in the target as it is.
module Glossema
  module Checks
    class LinkChanged < Check
      is "link-changed", group: "links", level: "must-fix"

      ADDRESS = /#{Counting::Tokens::ADDRESS}/

      def findings(pair)
        places(pair.from, ADDRESS).group_by { |match| match[0] }.flat_map do |address, matches|
          there = pair.into.scan(/#{Regexp.escape(address)}(?![\p{L}\p{N}])/).size
          matches.drop(there).map { |match| finding(address: address, source: [match.offset(0)]) }
        end
      end
    end
  end
end
