# Two counts side by side: what the first has more than the second, by band, files matched by name.
module Glossema
  module Counting
    module Comparison
      module_function

      # report, beside: hashes with "words", "bands" and "files" as Report and the command line give them.
      # Returns {"differences" => {band => words}, "files" => [{"name", "words", "beside" (words or nil),
      # "differences"}]}; of a file that only one of them has, the words of the other are nil.
      def compare(report, beside)
        others = beside["files"].group_by { |file| file["name"] }.transform_values(&:dup)
        files = report["files"].map { |file| side_by_side(file, others[file["name"]]&.shift) }
        left = others.values.flatten.map { |file| side_by_side(nil, file) }
        { "differences" => differences(report["bands"], beside["bands"]), "files" => files + left }
      end

      # {band => words of the one less words of the other}
      def differences(bands, beside)
        Bands::NAMES.to_h { |name| [name, words(bands, name) - words(beside, name)] }
      end

      def side_by_side(file, other)
        {
          "name" => (file || other)["name"],
          "words" => file && file["words"],
          "beside" => other && other["words"],
          "differences" => differences(file ? file["bands"] : {}, other ? other["bands"] : {})
        }
      end
      private_class_method :side_by_side

      def words(bands, name) = bands.fetch(name, {}).fetch("words", 0)
      private_class_method :words
    end
  end
end
