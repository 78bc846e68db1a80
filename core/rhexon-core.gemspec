require_relative "lib/rhexon/version"

Gem::Specification.new do |spec|
  spec.name = "rhexon-core"
  spec.version = Rhexon::VERSION
  spec.summary = "What a wood finisher computes: film, drying, plan and checks of a finishing schedule"
  spec.authors = [ "The Rhexon developers" ]
  spec.license = "MIT"
  spec.required_ruby_version = ">= 3.1"
  spec.files = Dir.chdir(__dir__) { Dir["{lib,data,schema,exe}/**/*"] }
  spec.bindir = "exe"
  spec.executables = [ "rhexon" ]
  spec.require_paths = [ "lib" ]

  spec.add_dependency "json_schemer", "~> 2.5"
  spec.add_dependency "matrix", "~> 0.4"
  spec.add_dependency "tzinfo", "~> 2.0"
  spec.add_dependency "zeitwerk", "~> 2.6"
end
