# Work shared out to a process for each core, which each read the database for themselves. Whoever asked may
# stop at any time: then they end.
module ProcessPool
  PROGRAM = Rails.root.join("bin/share-work").to_s
  LOG = Rails.root.join("log/share-work.log").to_s
  # What can be shared out: classes that answer share(asked), asked being a Hash with "turn" and "count".
  WORKS = { "bands" => "Report::Matching", "targets" => "Pretranslation::Search",
            "checks" => "Project::CheckRun" }.freeze
  # How often it is looked whether anybody still wants the answers, in seconds.
  EVERY = 0.25

  class << self
    def cores = Etc.nprocessors

    # Yields what each process answers, as it comes. operation: that they work for; they end when it is
    # cancelled. Raises Refused "counting-ended" when one was stopped.
    def each_answer(work, asked, operation: nil)
      pipes = Array.new(cores) { |turn| begun({ work: work, turn: turn, count: cores, **asked }) }
      waiting = pipes.dup
      while waiting.any?
        operation&.checkpoint
        ready, = IO.select(waiting, nil, nil, EVERY)
        ready.to_a.each do |pipe|
          # Our own processes write it.
          yield Marshal.load(pipe) # rubocop:disable Security/MarshalLoad
          waiting.delete(pipe)
        end
      end
    rescue EOFError
      raise Glossema::Refused.new("counting-ended")
    ensure
      pipes&.each { |pipe| finish(pipe, kill: waiting&.include?(pipe)) }
    end

    private

    def begun(asked)
      pipe = IO.popen([GcSettings::ENVIRONMENT, RbConfig.ruby, "--yjit", PROGRAM], "r+b", err: [LOG, "a"])
      pipe.write(JSON.generate(asked))
      pipe.close_write
      pipe
    end

    def finish(pipe, kill:)
      Process.kill("KILL", pipe.pid) if kill
      pipe.close
    rescue Errno::ESRCH, IOError
      nil
    end
  end
end
