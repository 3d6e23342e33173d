# The commands of review sheets: out of XLIFF files, and back into them.
module Glossema
  class Cli
    module Reviewing
      # A segment of a file as sheets see it: file: its Document; segment: of it.
      Place = Struct.new(:file, :segment)

      def sheet
        case act = argument("out or back")
        when "out" then sheet_out
        when "back" then sheet_back
        else raise Refused.new("usage.unknown", name: act)
        end
      end

      private

      def sheet_out
        output = need(:output, "-o")
        places = places_of(files_left)
        languages = languages_of(places)
        rows = places.each_with_index.map { |(id, place), index| review_row(id, place, index, languages) }
        about = { id: sheet_id(places), title: title_of(places), languages: languages, rows: rows,
                  instructions: @options[:instructions] == false ? [] : Review::Instructions::PARTS,
                  terms: !@options[:termbase].nil? }
        File.binwrite(output, written_sheet(output, about))
        say("files" => places.values.map(&:file).uniq.size, "segments" => rows.size)
        DONE
      end

      # As a workbook where its name says so.
      def written_sheet(output, about)
        return Review::Workbook.new(**about).bytes if File.extname(output).casecmp?(".xlsx")

        Review::Sheet.new(**about, tracking: @options[:tracking] != false).bytes
      end

      def sheet_back
        path = argument("SHEET")
        raise Refused.new("missing", path: path) unless File.file?(path)

        returned = Review.read(File.binread(path), File.basename(path))
        places = places_of(files_left)
        raise Refused.new("sheet-other", name: File.basename(path)) if returned.rows.none? { |row|
          places[row.id]
        }

        strange_rows(returned, places, File.basename(path))
        taken = returned.rows.filter_map { |row| places[row.id] && row_back(row, places[row.id]) }
        write_back(taken) if @options[:output]
        DONE
      end

      def files_left
        raise Refused.new("usage.missing", name: "FILE.xlf") if @arguments.empty?

        @arguments.shift(@arguments.size).map { |path| document(path) }
      end

      # {id in the sheet => Place}; files of the same name are told apart by their order.
      def places_of(files)
        files.each_with_index.flat_map { |file, index|
          raise Refused.new("not-bilingual", name: file.name) unless file.bilingual?

          file.segments.map { |segment| ["#{index + 1}/#{segment.id}", Place.new(file, segment)] }
        }.to_h
      end

      def languages_of(places)
        first = places.values.first&.file
        raise Refused.new("sheet-empty") unless first

        source = @options[:source_lang] || first.language || "en"
        [source, @options[:target_lang] || first.target_language || source]
      end

      def title_of(places) = places.values.map { |place| place.file.name }.uniq.join(", ")
      def sheet_id(places) = Digest::SHA256.hexdigest(places.keys.join("\n"))[0, 16]

      def review_row(id, place, index, languages)
        segment = place.segment
        Review::Row.new(id: id, file: place.file.name, number: index + 1, source: segment.content,
          target: segment.target || Content.new, notes: [segment.unit.note].compact,
          terms: terms_of(segment.content.text, languages))
      end

      def terms_of(text, languages)
        return [] unless @options[:termbase]

        @finder ||= Terms::Finder.new(languages[0], termbase(@options[:termbase], languages))
        @finder.find(text).uniq(&:entry).map do |found|
          [text[found.from...found.to], found.entry.in(languages[1]).flat_map(&:usable).map(&:written)]
        end
      end

      # What is not as it went out, in a sentence each on standard error; the rest is taken in.
      def strange_rows(returned, places, name)
        known, came = places.keys, returned.rows.map(&:id)
        refusals =
          returned.added.map { |text| Refused.new("sheet-row.added", name: name, text: text[0, 60]) } +
          returned.doubled.map { |id| Refused.new("sheet-row.doubled", name: name, id: id) } +
          (known - came).map { |id| Refused.new("sheet-row.gone", name: name, id: id) } +
          (came - known).map { |id| Refused.new("sheet-row.strange", name: name, id: id) }
        refusals.each { |refused| @errors.puts(refused.message) }
      end

      # Says what was changed in a row; answers [Place, Content] where it can be taken in.
      def row_back(row, place)
        segment = place.segment
        before = segment.target || Content.new
        row.comments.each { |one| say(comment_line(place, one)) }
        outcome = Review::Outcome.from_row(row, source: segment.content, before: before)
        return unless outcome.changed?

        say("file" => place.file.name, "id" => segment.id, "before" => before.written,
          "after" => outcome.written, "author" => row.author, "at" => row.at,
          "refused" => outcome.refused&.message)
        [place, outcome.target] if outcome.target
      end

      def comment_line(place, comment)
        { "file" => place.file.name, "id" => place.segment.id, "comment" => comment.text,
          "author" => comment.author, "at" => comment.at }
      end

      def write_back(taken)
        folder = @options[:output]
        FileUtils.mkdir_p(folder)
        taken.group_by { |place, _| place.file }.each do |file, rows|
          kept = file.segments.to_h { |segment| [segment.id, segment.target] }
          targets = kept.merge(rows.to_h { |place, target| [place.segment.id, target] }).compact
          bytes = file.write(targets, target_language: @options[:target_lang] || file.target_language)
          File.binwrite(File.join(folder, file.name), bytes)
        end
      end
    end
  end
end
