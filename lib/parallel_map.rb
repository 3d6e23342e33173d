# The same work done for many things by a process for each core, which each open the database anew.
require "etc"

module ParallelMap
  # So many are shared out, among so many processes at most.
  MANY = 200
  CORES = 4

  class << self
    # What the block makes of each, in order. Raises Refused "counting-ended" when a process was stopped.
    def map(list, &work)
      count = [Etc.nprocessors, CORES].min
      return list.map(&work) if list.size < MANY || count < 2

      ActiveRecord::Base.connection_handler.clear_all_connections!(:all)
      pipes = Array.new(count) { |turn| share(list, turn, count, &work) }
      # Our own processes write it.
      found = pipes.flat_map { |pipe| Marshal.load(pipe) }.to_h # rubocop:disable Security/MarshalLoad
      list.each_index.map { |index| found[index] }
    rescue EOFError
      raise Glossema::Refused.new("counting-ended")
    ensure
      Process.waitall if pipes
    end

    private

    # A process that does every count-th thing and writes [[index, result] …] to the pipe that is answered.
    def share(list, turn, count)
      reading, writing = IO.pipe(binmode: true)
      fork do
        reading.close
        own = list.each_index.select { |index| index % count == turn }
        writing.write(Marshal.dump(own.map { |index| [index, yield(list[index])] }))
      ensure
        # Whatever stopped it, the parent says so in a sentence, seeing that nothing came.
        exit!(0)
      end
      writing.close
      reading
    end
  end
end
