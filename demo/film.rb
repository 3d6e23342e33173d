# The film of the demo on loading safely and its subtitles: drawn frames, simple sounds, put together by
# ffmpeg.
require "chunky_png"
require "open3"
require "tmpdir"

module Demo
  module Film
    # Drawn at this size; the film is three quarters of it.
    WIDTH, HEIGHT, RATE = 640, 360, 25
    SHARE = 0.75
    SECONDS = 192
    TEXTS = File.join(__dir__, "texts", "loading-safely.tsv")
    NIGHT = ChunkyPNG::Color.rgb(36, 66, 76)
    FLOOR = ChunkyPNG::Color.rgb(24, 46, 54)
    LINE = ChunkyPNG::Color.rgb(223, 233, 236)
    PALE = ChunkyPNG::Color.rgb(111, 157, 171)
    Cue = Struct.new(:start, :finish, :source, :target)

    module_function

    # [Cue …]: start and finish in milliseconds; target is nil where nothing is translated yet. Cues of one
    # sentence follow each other closely.
    def cues
      rows = File.readlines(TEXTS, chomp: true).drop(1).map { |line| line.split("\t") }
      pauses = pauses_after(rows)
      at = BEGINNING
      rows.zip(pauses).map do |(seconds, source, target), pause|
        finish = at + (seconds.to_f * 1000).round
        cue = Cue.new(at, finish, source.tr("|", "\n"), target&.tr("|", "\n"))
        at = finish + pause
        cue
      end
    end

    # In milliseconds, first of the film and last of it besides; what is left is divided among the sentences.
    BEGINNING = 1000
    CLOSE = 120
    def pauses_after(rows)
      goes_on = rows.drop(1).map { |row| row[1].match?(/\A\p{Ll}/) } << false
      left = (SECONDS * 1000) - (3 * BEGINNING) - rows.sum { |row|
        row[0].to_f * 1000
      } - (CLOSE * goes_on.count(true))
      goes_on.map { |on| on ? CLOSE : (left / goes_on.count(false)).floor(-1) }
    end

    # The subtitles as SubRip.
    def subrip
      cues.each_with_index.map { |cue, index|
        "#{index + 1}\n#{clock(cue.start)} --> #{clock(cue.finish)}\n#{cue.source}\n"
      }.join("\n")
    end

    def clock(milliseconds)
      seconds, rest = milliseconds.divmod(1000)
      format("%02d:%02d:%02d,%03d", seconds / 3600, seconds / 60 % 60, seconds % 60, rest)
    end

    # Writes the film as WebM; nil where ffmpeg is not there. seconds: of its beginning only.
    def write(path, seconds: SECONDS)
      Dir.mktmpdir do |folder|
        { "scene" => scene, "box" => box }.each do |name, image|
          image.resample_bilinear(*[image.width, image.height].map { |size| (size * SHARE).to_i })
            .save(File.join(folder, "#{name}.png"))
        end
        _, fault, status = Open3.capture3("ffmpeg", "-loglevel", "error", "-y", *inputs(folder, seconds),
          "-filter_complex", moving, "-map", "[film]", "-map", "2:a", *coded, "-t", seconds.to_s, path)
        raise fault unless status.success?
      end
      path
    rescue Errno::ENOENT
      nil
    end

    def inputs(folder, seconds)
      ["-loop", "1", "-framerate", RATE.to_s, "-i", File.join(folder, "scene.png"),
       "-loop", "1", "-framerate", RATE.to_s, "-i", File.join(folder, "box.png"),
       "-f", "lavfi", "-i", "aevalsrc=#{sound}:s=16000:d=#{seconds}"]
    end

    # The load is lifted onto the bicycle, again and again.
    def moving
      way = "min(1,mod(t,8)/3)"
      "[0:v][1:v]overlay=x='30+64*#{way}':y='188-80*#{way}':shortest=1,format=yuv420p[film]"
    end

    # A hum while somebody speaks.
    def sound
      spoken = cues.map { |cue|
        format("between(t,%.2f,%.2f)", cue.start / 1000.0, cue.finish / 1000.0)
      }.join("+")
      "'0.2*sin(2*PI*(180+30*sin(2*PI*0.7*t))*t)*abs(sin(2*PI*2.3*t))*(#{spoken})'"
    end

    def coded
      ["-c:v", "libvpx", "-deadline", "realtime", "-cpu-used", "8", "-b:v", "180k", "-g", "50",
       "-c:a", "libopus", "-b:a", "24k"]
    end

    def scene
      image = ChunkyPNG::Image.new(WIDTH, HEIGHT, NIGHT)
      image.rect(0, 270, WIDTH, HEIGHT, FLOOR, FLOOR)
      [[190, 252, 52], [470, 252, 52]].each { |x, y, size| wheel(image, x, y, size) }
      path(image, 190, 252, 320, 252, 400, 150, 270, 145, 190, 252)
      path(image, 320, 252, 270, 145)
      path(image, 400, 150, 470, 252)
      path(image, 270, 145, 262, 120, 290, 118)
      path(image, 400, 150, 396, 118, 430, 110)
      path(image, 110, 205, 270, 205)
      image
    end

    def box
      ChunkyPNG::Image.new(90, 60, PALE).rect(0, 0, 89, 59, LINE, PALE)
    end

    def wheel(image, x, y, size) = (0..3).each { |step| image.circle(x, y, size - step, PALE) }

    def path(image, *points)
      points.each_slice(2).each_cons(2) do |(from_x, from_y), (to_x, to_y)|
        (-2..2).each do |off|
          image.line(from_x + off, from_y, to_x + off, to_y, LINE)
          image.line(from_x, from_y + off, to_x, to_y + off, LINE)
        end
      end
    end
  end
end
