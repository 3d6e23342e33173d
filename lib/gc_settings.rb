# Garbage is collected less often than by default in programs that look up much: what to set for a process.
module GcSettings
  ENVIRONMENT = {
    "RUBY_GC_HEAP_INIT_SLOTS" => "500000",
    "RUBY_GC_HEAP_FREE_SLOTS" => "200000",
    "RUBY_GC_MALLOC_LIMIT" => (32 << 20).to_s,
    "RUBY_GC_MALLOC_LIMIT_MAX" => (32 << 20).to_s,
    "RUBY_GC_OLDMALLOC_LIMIT" => (48 << 20).to_s,
    "RUBY_GC_OLDMALLOC_LIMIT_MAX" => (48 << 20).to_s
  }.freeze
end
