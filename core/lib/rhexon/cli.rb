require "json"

module Rhexon
  # The core from a shell: JSON in, JSON out. Exit status 0, or 2 with one sentence on standard error.
  class CLI
    USAGE = "Usage: rhexon plan|check|propose|mix|cut|colour difference|colour predict|board effects [FILE.json]   " \
            "(without FILE: standard input)".freeze
    # Command and the format of its input.
    COMMANDS = {
      "plan" => "rhexon-shop/1", "check" => "rhexon-shop/1", "propose" => "a shop, a piece and a wish",
      "mix" => "rhexon-mix/1", "cut" => "rhexon-cut/1",
      "colour difference" => "two colours", "colour predict" => "a wood and its steps",
      "board effects" => "a board's runs"
    }.freeze

    def initialize(input: $stdin, output: $stdout, errors: $stderr)
      @input = input
      @output = output
      @errors = errors
    end

    # @param arguments [Array<String>]
    # @return [Integer] exit status
    def run(arguments)
      words = COMMANDS.key?(arguments.first(2).join(" ")) ? 2 : 1
      command, file, *rest = arguments.first(words).join(" "), *arguments.drop(words)
      return usage if rest.any? || !COMMANDS.key?(command)

      @output.puts(JSON.pretty_generate(answer(command, parse(read(file), COMMANDS.fetch(command)))))
      0
    rescue InvalidInput => refusal
      where = refusal.where.empty? ? "" : " (at #{refusal.where})"
      complain("#{refusal.message.delete_suffix(".")}#{where}.")
    end

    private

    def answer(command, json)
      case command
      when "plan" then Picture::Report.new(plan(json)).to_h
      when "check" then findings(plan(json))
      when "propose" then Systems::Request.propose(json)
      when "mix" then Mixing::Request.mix(json)
      when "cut" then Mixing::Request.cut(json)
      when "colour difference" then Boards::LookRequest.difference(json)
      when "colour predict" then Boards::LookRequest.predict(json)
      when "board effects" then Boards::Request.effects(json)
      end
    end

    def plan(json) = Search::Planner.plan(Planning::Shop.new(json))

    def findings(plan)
      {
        "format" => "rhexon-check/1",
        "pieces" => plan.shop.pieces.map { |piece|
          {
            "id" => piece.id,
            "findings" => Checks::Catalogue.findings(plan, piece.id).map { |finding|
              finding(finding, plan.shop.zone)
            }
          }
        }
      }
    end

    def finding(finding, zone)
      figures = finding.figures.to_h do |name, value|
        [ name, name.end_with?("_at") || name == :due ? zone.iso(value) : value ]
      end
      finding.to_h.merge(figures: figures)
    end

    def read(file)
      return @input.read if file.nil? || file == "-"

      File.read(file, encoding: "UTF-8")
    rescue SystemCallError
      raise InvalidInput.new("Cannot read #{file}", accepted: "a JSON file that exists")
    end

    def parse(text, format)
      JSON.parse(text).tap do |value|
        raise InvalidInput.new("The input is not a JSON object", accepted: format) unless value.is_a?(Hash)
      end
    rescue JSON::ParserError, EncodingError => error
      raise InvalidInput.new("The input is not JSON: #{error.message.lines.first.to_s.strip[0, 120]}",
                             accepted: format)
    end

    def usage = complain(USAGE)

    def complain(sentence)
      @errors.puts(sentence)
      2
    end
  end
end
