# Work shared out to a process for each core, which each read the database for themselves.
module SharedOut
  PROGRAM = Rails.root.join("bin/share-work").to_s
  LOG = Rails.root.join("log/share-work.log").to_s
  # What can be shared out: classes that answer share(asked), asked being a Hash with "turn" and "count".
  WORKS = { "bands" => "Report::Matching", "targets" => "Pretranslation::Search",
            "checks" => "Project::Looking" }.freeze

  class << self
    def cores = Etc.nprocessors

    # Yields what each process answers, in the order of their turns. Raises Refused "counting-ended" when one
    # was stopped.
    def each_answer(work, asked)
      pipes = Array.new(cores) { |turn| begun({ work: work, turn: turn, count: cores, **asked }) }
      # Our own processes write it.
      pipes.each { |pipe| yield Marshal.load(pipe) } # rubocop:disable Security/MarshalLoad
    rescue EOFError
      raise Glossema::Refused.new("counting-ended")
    ensure
      pipes&.each(&:close)
    end

    private

    def begun(asked)
      pipe = IO.popen([Room::ENVIRONMENT, RbConfig.ruby, "--yjit", PROGRAM], "r+b", err: [LOG, "a"])
      pipe.write(JSON.generate(asked))
      pipe.close_write
      pipe
    end
  end
end
