# The pictures of the demo, drawn here: outlines of a cargo bicycle and its parts.
require "chunky_png"

module Demo
  module Pictures
    WIDTH, HEIGHT = 720, 320
    GROUND = ChunkyPNG::Color.rgb(229, 238, 241)
    INK = ChunkyPNG::Color.rgb(15, 61, 75)
    PALE = ChunkyPNG::Color.rgb(111, 157, 171)

    module_function

    # name → PNG bytes.
    def png(name)
      @image = ChunkyPNG::Image.new(WIDTH, HEIGHT, GROUND)
      public_send(name.tr("-", "_"))
      @image.to_blob(:fast_rgb)
    end

    def long_tail
      wheel(210, 220, 62)
      wheel(500, 228, 54)
      path(210, 220, 330, 215, 390, 120, 480, 112, 500, 228)
      path(330, 215, 372, 96)
      path(350, 92, 396, 92)
      path(480, 112, 470, 72, 500, 66)
      path(130, 150, 350, 150)
      box(140, 112, 300, 150)
      path(270, 220, 330, 215)
      path(420, 176, 470, 150)
    end

    def kickstand
      wheel(240, 190, 70)
      wheel(500, 190, 70)
      path(240, 190, 370, 190, 440, 90, 500, 190)
      path(360, 196, 330, 276)
      path(380, 196, 410, 276)
      path(310, 276, 350, 276)
      path(390, 276, 430, 276)
      path(100, 278, 640, 278)
    end

    def straps
      box(220, 90, 500, 230)
      path(220, 90, 500, 230)
      path(500, 90, 220, 230)
      path(150, 232, 570, 232)
      path(180, 232, 180, 262)
      path(540, 232, 540, 262)
    end

    def battery
      box(180, 130, 420, 200)
      path(150, 206, 600, 206)
      path(460, 165, 560, 165, 540, 150)
      path(560, 165, 540, 180)
      box(390, 146, 408, 184)
    end

    def wheel(x, y, radius)
      4.times { |i| @image.circle(x, y, radius - i, INK) }
      12.times do |spoke|
        angle = spoke * Math::PI / 6
        @image.line_xiaolin_wu(
          x,
          y,
          (x + (Math.cos(angle) * radius)).round,
          (y + (Math.sin(angle) * radius)).round,
          PALE
        )
      end
      @image.circle(x, y, 7, INK, INK)
    end

    def box(left, top, right, bottom)
      @image.rect(left, top, right, bottom, INK, PALE)
      3.times { |i| @image.rect(left - i, top - i, right + i, bottom + i, INK) }
    end

    def path(*points)
      points
        .each_slice(2)
        .each_cons(2) do |(x1, y1), (x2, y2)|
          (-2..2).each do |shift|
            @image.line_xiaolin_wu(x1 + shift, y1, x2 + shift, y2, INK)
            @image.line_xiaolin_wu(x1, y1 + shift, x2, y2 + shift, INK)
          end
        end
    end
  end
end
