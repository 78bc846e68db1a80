# Faults of pages, as the devices tell them: into the log, under the number that the page shows.
class PageFaultsController < ApplicationController
  NUMBER = /\A[#{Trouble::LETTERS.join}]{6}\z/

  takes :create, number: :id, page: :words, message: :words, stack: :words
  at_most 30, within: 1.minute

  def create
    Rhexon.refuse_unless(NUMBER.match?(body["number"].to_s), "That is no number of an error", where: "number",
                         accepted: "six letters and digits, such as C4F7XA")
    logger.error { "Error #{body["number"]} of the page #{body["page"]}: #{body["message"]}\n#{body["stack"]}" }
    head :no_content
  end
end
