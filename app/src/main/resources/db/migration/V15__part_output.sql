-- A reading of the brakes may be taken at less than full output, told by the volts at the brake pin.
alter table reading add column if not exists pin_volts double;
