"""What a sheet shows of a problem among others."""
