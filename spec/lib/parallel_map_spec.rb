require "parallel_map"

# In processes of their own, so that this one's database stays open.
RSpec.describe ParallelMap do
  def apart(work)
    folders = [Rails.root.join("lib"), "#{Glossema::ROOT}/lib"].flat_map { |folder| ["-I", folder.to_s] }
    start = <<~RUBY
      require "glossema"
      require "active_record"
      require "parallel_map"
      Glossema::Refusals.translator = ->(key, _) { key }
    RUBY
    Open3.capture2e(RbConfig.ruby, *folders, "-e", start + work).first
  end

  it "answers in order what several processes found, each with its share" do
    told = apart(<<~RUBY)
      squares, by = ParallelMap.map((0...500).to_a) { |n| [n * n, Process.pid] }.transpose
      p [squares == (0...500).map { |n| n * n }, by.uniq.size > 1]
    RUBY
    expect(told).to eq("[true, true]\n")
  end

  it "says so when one of them was stopped" do
    told = apart(<<~RUBY)
      begin
        ParallelMap.map((0...500).to_a) { |n| n == 301 ? exit!(9) : n }
      rescue Glossema::Refused => e
        puts e.code
      end
    RUBY
    expect(told).to eq("counting-ended\n")
  end
end
