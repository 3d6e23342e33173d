# A process that reads the units of a file for another one that stores them: what UnitReader yields goes to standard output as it comes,
# marshalled, then its result, or what was refused. Arguments: path, name, source and target language, columns as JSON.
require "bundler/setup"
require "glossema"

path, name, source, target, columns = ARGV
queue = SizedQueue.new(4)
$stdout.binmode
writer = Thread.new do
  while (bytes = queue.pop)
    $stdout.write(bytes)
  end
rescue Errno::EPIPE
  # Nobody wants the rest.
  exit!(0)
end
begin
  File.open(path, "rb") do |io|
    reader = Glossema::Exchange::UnitReader.new(io, name, [source, target], JSON.parse(columns))
    result = reader.each_slice { |rows, at| queue << Marshal.dump([:rows, rows, at]) }
    queue << Marshal.dump([:done, result])
  end
rescue Glossema::Refused => e
  queue << Marshal.dump([:refused, e.code, e.message])
end
queue << nil
writer.join
