# One paragraph of a DOCX: its inline content read into a Content, and a Content written back as its runs.
module Glossema
  module Formats
    class Docx
      class Paragraph
        include Runs

        TRANSPARENT = %w[ins moveTo smartTag customXml].freeze
        GONE = %w[del moveFrom proofErr].freeze
        STARTS = %w[
          bookmarkStart commentRangeStart permStart moveFromRangeStart moveToRangeStart
          customXmlInsRangeStart customXmlDelRangeStart
        ].freeze
        ENDS = %w[
          bookmarkEnd commentRangeEnd permEnd moveFromRangeEnd moveToRangeEnd customXmlInsRangeEnd
          customXmlDelRangeEnd
        ].freeze
        # Fields whose result a person wrote.
        WRITTEN_FIELDS = /\A\s*HYPERLINK\b/i
        # Fields that show nothing where they stand.
        SILENT_FIELDS = /\A\s*(?:XE|TC|TA|RD|PRIVATE|SET)\b/i
        NAMES = {
          "footnoteReference" => "footnote mark",
          "endnoteReference" => "endnote mark",
          "drawing" => "picture",
          "pict" => "picture",
          "object" => "object",
          "sym" => "symbol",
          "ptab" => "tab",
          "oMath" => "formula",
          "oMathPara" => "formula",
          "footnoteRef" => "footnote mark",
          "endnoteRef" => "endnote mark",
          "AlternateContent" => "picture",
          "pgNum" => "page number",
          "ruby" => "ruby text",
          "annotationRef" => "comment mark"
        }.freeze
        BEFORE_LANG = %w[eastAsianLayout specVanish oMath rPrChange].freeze

        # What a run holds besides these may have paragraphs of its own.
        FLAT = %w[
          rPr t tab br cr noBreakHyphen lastRenderedPageBreak softHyphen fldChar instrText delText
        ].freeze

        # Fields in fields end by then.
        DEEPEST = 30

        attr_reader :node, :content, :block

        # fields: stack of the fields open at the start of the paragraph; left as it is at its end.
        def initialize(node, styles, fields, hidden: false)
          @node, @styles, @fields, @hidden = node, styles, fields, hidden
          @properties = Styles.child(node, "pPr")
          @style = styles.style_id(@properties)
          @block = styles.block(@properties)
          @effective = {}
          @flat = true
          read
        end

        def list = @styles.number(@properties)

        # Is there nothing in it but runs of plain text?
        def flat? = @flat

        # Replaces the inline content. Codes the content does not know are left out; one used twice is copied.
        def write(content, target_language)
          kept = @node.element_children.select { |child| child.name == "pPr" }
          @node.children.each { |child| child.unlink unless kept.include?(child) }
          @used = {}
          @language = target_language
          parents, looks = [@node], [@base]
          content.well_formed.items.each do |item|
            if item.is_a?(String)
              text_runs(item, looks.last).each { |run| parents.last << run }
            else
              write_code(item, parents, looks)
            end
          end
        end

        private

        def read
          @top = []
          @open_wraps = [@top]
          @capture = @fields.empty? ? nil : (@fields.find { |field| field[:kind] == :opaque } && new_capture)
          visit(@node, true)
          flush_capture
          demote_unclosed_links
          @content = content_of(@top)
        end

        # --- reading: nodes → entries
        # ---------------------------------------------------------------------------

        def visit(parent, top = false)
          Runs.each_element(parent) do |child|
            name = child.name
            next if name == "pPr" && top
            next visit_run(child) if name == "r"

            @flat = false
            if TRANSPARENT.include?(name)
              visit(child)
            elsif GONE.include?(name)
              next
            elsif STARTS.include?(name)
              add(Alone.new("anchor-start", "", "", [[:bare, child]]))
            elsif ENDS.include?(name)
              add(Alone.new("anchor-end", "", "", [[:bare, child]]))
            elsif %w[hyperlink sdt bdo dir fldSimple].include?(name) && @capture.nil?
              container(child)
            else
              add(
                Alone.new(
                  NAMES[name] ? NAMES[name].tr(" ", "-") : "object",
                  NAMES[name] || name,
                  "",
                  [[:bare, child]]
                )
              )
            end
          end
        end

        def container(child)
          case child.name
          when "hyperlink"
            within(
              Wrap.new(
                "link",
                "link",
                "link:#{child.attribute_nodes.map(&:value).sort.join(" ")}",
                child,
                nil,
                nil,
                []
              )
            ) { visit(child) }
          when "fldSimple"
            instruction = Styles.value(child, "instr").to_s
            if instruction.match?(WRITTEN_FIELDS)
              within(Wrap.new("link", "link", "link:#{instruction.strip}", child, nil, nil, [])) do
                visit(child)
              end
            elsif instruction.match?(SILENT_FIELDS)
              add(Alone.new("anchor-end", "", "", [[:bare, child]]))
            else
              add(
                Alone.new(
                  "field",
                  field_name(instruction, child.xpath(".//*[local-name()='t']").map(&:text).join),
                  "",
                  [[:bare, child]],
                  "field:#{instruction.strip}"
                )
              )
            end
          when "sdt"
            inner = Styles.child(child, "sdtContent")
            properties = Styles.child(child, "sdtPr")
            if inner.nil? ||
                properties&.element_children&.any? { |node| %w[checkbox picture].include?(node.name) }
              add(Alone.new("control", "control", "", [[:bare, child]]))
            else
              id = Styles.value(Styles.child(properties, "id"), "val") if properties
              within(Wrap.new("control", "control", "control:#{id}", child, nil, nil, [])) { visit(inner) }
            end
          else
            within(
              Wrap.new(
                "direction",
                "direction",
                "direction:#{Styles.value(child, "val")}",
                child,
                nil,
                nil,
                []
              )
            ) { visit(child) }
          end
        end

        def within(wrap)
          add(wrap)
          @open_wraps.push(wrap.entries)
          yield
          @open_wraps.pop
        end

        def visit_run(run)
          properties = Styles.child(run, "rPr")
          Runs.each_element(run) do |child|
            name = child.name
            @flat = false unless FLAT.include?(name)
            case name
            when "rPr", "lastRenderedPageBreak", "softHyphen", "delText", "delInstrText"
              keep_in_capture(properties, child)
            when "fldChar"
              field_mark(properties, child)
            when "instrText"
              @capture ? capture(properties, child) : link_instruction(properties, child)
            else
              @capture ? capture(properties, child) : run_child(properties, child)
            end
          end
        end

        def run_child(properties, child)
          if @links_before && @links_before.any? { |link| link[:phase] == :instruction }
            return @links_before.last[:before] << [properties, child]
          end
          if child.name == "commentReference" || (hidden?(properties) && !@hidden)
            return add(Alone.new("anchor-end", "", "", [[properties, child]]))
          end

          case child.name
          when "t"
            add(Text.new(child.text, properties, effective(properties), nil))
          when "noBreakHyphen"
            add(Text.new("\u2011", properties, effective(properties), nil))
          when "tab"
            add(Alone.new("tab", "tab", "\t", [[properties, child]]))
          when "br", "cr"
            add(Alone.new("break", break_name(child), "\n", [[properties, child]]))
          else
            add(
              Alone.new(
                (NAMES[child.name] || "object").tr(" ", "-"),
                NAMES[child.name] || child.name,
                "",
                [[properties, child]]
              )
            )
          end
        end

        def break_name(child)
          { "page" => "page break", "column" => "column break" }.fetch(
            Styles.value(child, "type").to_s,
            "line break"
          )
        end

        def hidden?(properties) = !properties.nil? && effective(properties).key?("vanish")

        # Fields: begin … instruction … separate … result … end, over many runs and perhaps paragraphs.
        def field_mark(properties, mark)
          case Styles.value(mark, "fldCharType")
          when "begin"
            begin_field(properties, mark)
          when "separate"
            separate_field(properties, mark)
          when "end"
            end_field(properties, mark)
          end
        end

        def begin_field(properties, mark)
          instruction = instruction_after(mark)
          if @capture.nil? && instruction.match?(WRITTEN_FIELDS)
            @fields.push(kind: :link)
            (@links_before ||= []).push(
              phase: :instruction,
              before: [[properties, mark]],
              instruction: instruction
            )
          else
            @fields.push(kind: :opaque, instruction: instruction)
            @capture ||= new_capture
            @capture[:instruction] ||= instruction
            capture(properties, mark)
          end
        end

        def separate_field(properties, mark)
          return capture(properties, mark) if @capture

          link = @links_before&.last or return add(Alone.new("field", "field", "", [[properties, mark]]))
          link[:before] << [properties, mark]
          link[:phase] = :result
          link[:wrap] = Wrap.new(
            "link",
            "link",
            "link:#{link[:instruction].strip}",
            nil,
            link[:before],
            nil,
            []
          )
          add(link[:wrap])
          link[:depth] = @open_wraps.size
          @open_wraps.push(link[:wrap].entries)
        end

        def end_field(properties, mark)
          field = @fields.pop
          if @capture
            capture(properties, mark)
            flush_capture unless @fields.any? { |open| open[:kind] == :opaque }
          elsif field && (link = @links_before&.pop)
            unless link[:wrap]
              return add(Alone.new("field", "field", "", link[:before] + [[properties, mark]]))
            end

            link[:wrap].after = [[properties, mark]]
            @open_wraps.pop if @open_wraps.last.equal?(link[:wrap].entries)
          else
            add(Alone.new("field", "end of field", "", [[properties, mark]]))
          end
        end

        def link_instruction(properties, child)
          link = @links_before&.last
          if link
            link[:before] << [properties, child]
          else
            add(Alone.new("field", "field", "", [[properties, child]]))
          end
        end

        # The instruction of the field that this mark begins, read ahead.
        def instruction_after(mark)
          depth, text = 0, +""
          (field_marks.fetch(mark.pointer_id)...@marks.size).each do |at|
            node = @marks[at]
            next(text << node.text if depth == 1) if node.name == "instrText"

            type = Styles.value(node, "fldCharType")
            depth += 1 if type == "begin"
            break if (depth == 1 && %w[separate end].include?(type)) || depth > DEEPEST

            depth -= 1 if type == "end"
          end
          text
        end

        # {mark of a field => its place among them}
        def field_marks
          @field_marks ||= begin
            @marks = @node.xpath(".//*[local-name()='fldChar' or local-name()='instrText']").to_a
            @marks.each_with_index.to_h { |node, index| [node.pointer_id, index] }
          end
        end

        def new_capture = { nodes: [], text: +"" }

        def capture(properties, child)
          @capture[:nodes] << [properties, child]
          @capture[:text] << child.text if child.name == "t"
        end

        def keep_in_capture(properties, child)
          capture(properties, child) if @capture && child.name != "rPr"
        end

        def flush_capture
          return unless @capture

          done, @capture = @capture, nil
          return if done[:nodes].empty?

          silent = done[:instruction].to_s.match?(SILENT_FIELDS)
          add(
            Alone.new(
              silent ? "anchor-end" : "field",
              silent ? "" : field_name(done[:instruction].to_s, done[:text]),
              "",
              done[:nodes],
              silent ? nil : "field:#{done[:instruction].to_s.strip}"
            )
          )
        end

        def field_name(instruction, result)
          word = instruction.strip[/\A[A-Za-z]+/].to_s.downcase
          name =
            {
              "page" => "page number",
              "numpages" => "number of pages",
              "ref" => "reference",
              "pageref" => "page reference",
              "seq" => "number",
              "date" => "date"
            }[
              word
            ] || "field"
          result.strip.empty? ? name : "#{name} #{result.strip[0, 20]}"
        end

        # A link field that ends in another paragraph: its marks stay as codes, its text belongs to this
        # paragraph.
        def demote_unclosed_links
          (@links_before || []).each do |link|
            holder = find_holder(@top, link[:wrap]) if link[:wrap]
            if holder
              at = holder.index { |entry| entry.equal?(link[:wrap]) }
              holder[at, 1] = [Alone.new("field", "link", "", link[:before]), *link[:wrap].entries]
            else
              @top << Alone.new("field", "link", "", link[:before])
            end
          end
          @links_before = nil
        end

        def find_holder(entries, wrap)
          return entries if entries.any? { |entry| entry.equal?(wrap) }

          entries.grep(Wrap).each { |inner| (found = find_holder(inner.entries, wrap)) && (return found) }
          nil
        end

        def add(entry)
          return capture_entry(entry) if @capture && entry.is_a?(Alone)

          @open_wraps.last << entry
        end

        def capture_entry(entry) = @capture[:nodes].concat(entry.nodes)

        def effective(properties) =
          @effective[properties&.pointer_id] ||= @styles.effective(@style, properties)

        # --- hooks of Runs
        # -----------------------------------------------------------------------------------------

        def look_of(props, text) = @styles.look(props, text)
        def words_of(props, base) = @styles.words(props, base)
        def plain_props = @styles.effective(@style, nil)
        def shows_on_space?(text) = text.props.keys.intersect?(%w[u strike dstrike highlight shd bdr])

        # --- writing: items → nodes
        # -------------------------------------------------------------------------------

        def write_code(code, parents, looks)
          original = @originals[code.key]
          return if original.nil? && !code.key.start_with?("f")

          if code.alone?
            return (
              copies(code.key, original).each do |properties, child|
                parents.last << run_with(properties, child)
              end
            )
          end

          return code.open? ? looks.push(original) : looks.pop if code.key.start_with?("f")

          if code.open?
            open_wrap(code.key, *original, parents, looks)
          else
            close_wrap(original.first, parents, looks)
          end
        end

        def open_wrap(name, entry, inner, parents, looks)
          looks.push(inner)
          unless entry.element
            return (
              copies("#{name}<", entry.before).each do |properties, child|
                parents.last << run_with(properties, child)
              end
            )
          end

          shell = Nodes.copy(entry.element, shallow: true)
          entry.element.element_children.each do |child|
            shell << Nodes.copy(child) if %w[sdtPr sdtEndPr].include?(child.name)
          end
          parents.last << shell
          shell << element("sdtContent") if entry.element.name == "sdt"
          parents.push(entry.element.name == "sdt" ? shell.element_children.last : shell)
        end

        def close_wrap(entry, parents, looks)
          looks.pop
          return parents.pop if entry.element

          (entry.after || []).each { |properties, child|
            parents.last << run_with(properties, Nodes.copy(child))
          }
        end

        # The nodes of a code: the originals the first time, copies later.
        def copies(name, nodes)
          again = @used[name]
          @used[name] = true
          nodes.map { |properties, child| [properties, again ? Nodes.copy(child) : child] }
        end

        def run_with(properties, child)
          return child if properties == :bare

          element("r").tap do |run|
            run << Nodes.copy(properties) if properties
            run << child
          end
        end

        def text_runs(text, properties)
          run = element("r")
          shared = run_properties(properties)
          run << shared if shared
          text.scan(/[^\t\n\u2011]+|[\t\n\u2011]/) do |piece|
            special = { "\t" => "tab", "\n" => "br", "\u2011" => "noBreakHyphen" }[piece]
            next run << element(special) if special

            node = element("t")
            node.content = piece
            node["xml:space"] = "preserve"
            run << node
          end
          [run]
        end

        # The properties of a run with its language set to that of the translation.
        def run_properties(properties)
          copy = properties ? Nodes.copy(properties) : element("rPr")
          copy.element_children.each do |child|
            child.unlink if %w[rPrChange ins del moveFrom moveTo noProof].include?(child.name)
          end
          if @language
            copy.element_children.each { |child| child.unlink if child.name == "lang" }
            lang = element("lang")
            lang["#{prefix}val"] = @language
            rtl = Languages.right_to_left?(@language)
            after = copy.element_children.find { |child| BEFORE_LANG.include?(child.name) }
            lang["#{prefix}bidi"] = @language if rtl
            after ? after.add_previous_sibling(lang) : copy << lang
            Styles.child(copy, "rtl")&.unlink
            lang.add_previous_sibling(element("rtl")) if rtl
          end
          copy.element_children.empty? ? nil : copy
        end

        def prefix = @node.namespace&.prefix ? "#{@node.namespace.prefix}:" : ""

        def element(name)
          Nokogiri::XML::Node.new(name, @node.document).tap { |node| node.namespace = @node.namespace }
        end
      end
    end
  end
end
