# What a reviser's remarks weigh together: the points of their severities, against the words that were read.
module Glossema
  module Review
    module Score
      THOUSAND = 1000
      # points: all together; per_thousand: in 1,000 words, nil where none was read; kinds, severities:
      # {name => {"count", "points"}} of those there are, in the order of ErrorTypes.
      Sum = Struct.new(:points, :per_thousand, :kinds, :severities, keyword_init: true)

      module_function

      # remarks: [[type, severity], …], a type as ErrorTypes has it; words: of the source, that were read.
      # Source: the penalty total of MQM’s scoring model, normed to 1,000 words.
      def compute(remarks, words:)
        weighed = remarks.map { |type, severity| [type.split("/").first, severity, points(severity)] }
        total = weighed.sum(&:last)
        Sum.new(points: total, per_thousand: words.zero? ? nil : (THOUSAND * total).fdiv(words).round(1),
          kinds: counted(weighed, ErrorTypes::KINDS.keys, 0),
          severities: counted(weighed, ErrorTypes::SEVERITIES.keys, 1))
      end

      def points(severity) = ErrorTypes::SEVERITIES.fetch(severity)

      def counted(weighed, names, place)
        groups = weighed.group_by { |one| one[place] }
        names.filter_map { |name|
          [name, { "count" => groups[name].size, "points" => groups[name].sum(&:last) }] if groups[name]
        }.to_h
      end
      private_class_method :counted
    end
  end
end
